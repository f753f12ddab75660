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

-- In how many jobs of a firm each part is, counted as they come and go: nobody who looks at the shelf waits for a hundred thousand.
create table parts_used (
  firm_id uuid not null references firms on delete cascade,
  shelf text not null,
  item_id text not null,
  jobs int not null,
  primary key (firm_id, shelf, item_id)
);
alter table parts_used enable row level security;
alter table parts_used force row level security;
create policy own_firm on parts_used using (firm_id = current_firm());
create policy keeper on parts_used to upper_deck_owner using (true) with check (true);
grant select, insert, update on parts_used to upper_deck;

create function count_parts() returns trigger language plpgsql as $$
begin
  if tg_op = 'INSERT' then
    insert into parts_used values (new.firm_id, new.shelf, new.item_id, 1) on conflict (firm_id, shelf, item_id) do update set jobs = parts_used.jobs + 1;
  else
    update parts_used set jobs = jobs - 1 where firm_id = old.firm_id and shelf = old.shelf and item_id = old.item_id;
  end if;
  return null;
end $$;
create trigger count_parts after insert or delete on job_parts for each row execute function count_parts();

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
    -- Small parts that go with any are used by every job.
    insert into job_parts select new.firm_id, p.shelf, p.item_id, new.job_id from (select 'any' as shelf, 'any' as item_id union all select * from parts_named(new.document)) p order by 2, 3 on conflict do nothing;
  elsif new.edit::text like '%Id%' or new.inverse::text like '%Id%' then
    insert into job_parts select new.firm_id, p.shelf, p.item_id, new.job_id from parts_named(jsonb_build_array(new.edit, new.inverse)) p order by 2, 3 on conflict do nothing;
  end if;
  return null;
end $$;
-- What a document names later came by an edit.
create trigger keep_parts after insert on jobs for each row execute function keep_parts();
create trigger keep_parts after insert on job_edits for each row execute function keep_parts();

insert into job_parts select firm_id, 'any', 'any', job_id from jobs;
insert into job_parts
select distinct said.firm_id, p.shelf, p.item_id, said.job_id from (
  select firm_id, job_id, document as named from jobs
  union all select firm_id, job_id, jsonb_build_array(edit, inverse) from job_edits where edit::text like '%Id%' or inverse::text like '%Id%'
) as said cross join lateral parts_named(said.named) p;
