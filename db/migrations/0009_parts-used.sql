-- Up Migration
-- Parts that stand in a job, or stood in it before something was undone: a part that is used is never altered. Kept as they are named,
-- so that the shelf need not read every job to know.
create table job_parts (
  firm_id uuid not null,
  shelf text not null,
  item_id text not null,
  job_id uuid not null,
  primary key (firm_id, shelf, item_id, job_id),
  foreign key (firm_id, job_id) references jobs on delete cascade
);
alter table job_parts enable row level security;
alter table job_parts force row level security;
create policy own_firm on job_parts using (firm_id = current_firm());
create policy keeper on job_parts to upper_deck_owner using (true) with check (true);
grant select, insert on job_parts to upper_deck;

-- Every part that a document or an edit names.
create function parts_named(named jsonb) returns table (shelf text, item_id text) language sql immutable as $$
  select distinct fields.shelf, id #>> '{}'
  from (values ('modules', '$.**.moduleId'::jsonpath), ('rails', '$.**.railId'), ('mounts', '$.**.mountId'), ('clamps', '$.**.clampsId'), ('supplies', '$.**.supplyIds[*]')) as fields (shelf, path)
  cross join lateral jsonb_path_query(named, path) as id
  where jsonb_typeof(id) = 'string'
$$;

create function keep_parts() returns trigger language plpgsql as $$
begin
  if tg_table_name = 'jobs' then
    insert into job_parts select new.firm_id, p.shelf, p.item_id, new.job_id from parts_named(new.document) p on conflict do nothing;
  elsif new.edit::text like '%Id%' or new.inverse::text like '%Id%' then
    insert into job_parts select new.firm_id, p.shelf, p.item_id, new.job_id from parts_named(jsonb_build_array(new.edit, new.inverse)) p on conflict do nothing;
  end if;
  return null;
end $$;
-- What a document names later came by an edit.
create trigger keep_parts after insert on jobs for each row execute function keep_parts();
create trigger keep_parts after insert on job_edits for each row execute function keep_parts();

insert into job_parts
select distinct said.firm_id, p.shelf, p.item_id, said.job_id from (
  select firm_id, job_id, document as named from jobs
  union all select firm_id, job_id, jsonb_build_array(edit, inverse) from job_edits where edit::text like '%Id%' or inverse::text like '%Id%'
) as said cross join lateral parts_named(said.named) p;
