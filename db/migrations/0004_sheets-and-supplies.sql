-- Up Migration
-- Small parts by their packs are a shelf of the catalogue too.
alter table catalogue_items drop constraint catalogue_items_kind_check;
alter table catalogue_items add constraint catalogue_items_kind_check check (kind in ('modules', 'rails', 'mounts', 'clamps', 'supplies'));

-- An issued mark-out is kept as it was handed out: the marks and the drawing of every face, as plain data.
create table issued_sheets (
  firm_id uuid not null,
  job_id uuid not null,
  revision int not null check (revision > 0),
  person_id uuid not null,
  job_version int not null check (job_version >= 0),
  note text not null default '' check (length(note) <= 200),
  sheet jsonb not null,
  issued_at timestamptz not null default now(),
  primary key (firm_id, job_id, revision),
  foreign key (firm_id, job_id) references jobs on delete cascade,
  foreign key (firm_id, person_id) references people
);

alter table issued_sheets enable row level security;
alter table issued_sheets force row level security;
create policy own_firm_read on issued_sheets for select using (firm_id = current_firm());
create policy own_firm_append on issued_sheets for insert with check (firm_id = current_firm());

-- What the crew and the yard have ticked off. A tick is there or it is not, so that sending one twice does no harm.
create table ticks (
  firm_id uuid not null,
  job_id uuid not null,
  list text not null check (list ~ '^(van|mark-out)(:[A-Za-z0-9]+)?$'),
  item text not null check (length(item) between 1 and 200),
  person_id uuid not null,
  ticked_at timestamptz not null default now(),
  primary key (firm_id, job_id, list, item),
  foreign key (firm_id, job_id) references jobs on delete cascade,
  foreign key (firm_id, person_id) references people
);

alter table ticks enable row level security;
alter table ticks force row level security;
create policy own_firm on ticks using (firm_id = current_firm());
