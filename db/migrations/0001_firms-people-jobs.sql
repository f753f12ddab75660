-- Up Migration
-- Every table that belongs to a firm is keyed by firm, and row-level security shows a connection only the rows of
-- the firm named in the setting app.firm_id, which is set for one transaction at a time.

create table firms (
  firm_id uuid primary key,
  name text not null check (length(name) between 1 and 120),
  created_at timestamptz not null default now()
);

create table people (
  firm_id uuid not null references firms,
  person_id uuid not null,
  name text not null check (length(name) between 1 and 120),
  role text not null check (role in ('planner', 'lead', 'yard')),
  created_at timestamptz not null default now(),
  primary key (firm_id, person_id)
);

create table sessions (
  firm_id uuid not null,
  session_id uuid not null default gen_random_uuid(),
  person_id uuid not null,
  created_at timestamptz not null default now(),
  expires_at timestamptz not null,
  primary key (firm_id, session_id),
  foreign key (firm_id, person_id) references people on delete cascade
);

create table catalogue_items (
  firm_id uuid not null references firms,
  kind text not null check (kind in ('modules', 'rails', 'mounts', 'clamps')),
  item_id text not null,
  position int not null,
  data jsonb not null,
  primary key (firm_id, kind, item_id)
);

create table jobs (
  firm_id uuid not null references firms,
  job_id uuid not null default gen_random_uuid(),
  document jsonb not null check (document ->> 'format' = 'upper-deck-job'),
  version int not null default 0 check (version >= 0),
  created_at timestamptz not null default now(),
  updated_at timestamptz not null default now(),
  primary key (firm_id, job_id)
);

-- Append-only: what was changed, by whom, when, and what takes it back. The edit's id is made by the client, so that
-- sending the same edit twice does no harm.
create table job_edits (
  firm_id uuid not null,
  job_id uuid not null,
  version int not null check (version > 0),
  edit_id uuid not null,
  person_id uuid not null,
  kind text not null check (kind in ('edit', 'undo', 'redo')),
  edit jsonb not null,
  inverse jsonb not null,
  made_at timestamptz not null default now(),
  primary key (firm_id, job_id, version),
  unique (firm_id, job_id, edit_id),
  foreign key (firm_id, job_id) references jobs on delete cascade,
  foreign key (firm_id, person_id) references people
);

create function current_firm() returns uuid language sql stable
  as $$ select nullif(current_setting('app.firm_id', true), '')::uuid $$;

alter table firms enable row level security;
alter table firms force row level security;
create policy own_firm on firms using (firm_id = current_firm());

alter table people enable row level security;
alter table people force row level security;
create policy own_firm on people using (firm_id = current_firm());

alter table sessions enable row level security;
alter table sessions force row level security;
create policy own_firm on sessions using (firm_id = current_firm());

alter table catalogue_items enable row level security;
alter table catalogue_items force row level security;
create policy own_firm on catalogue_items using (firm_id = current_firm());

alter table jobs enable row level security;
alter table jobs force row level security;
create policy own_firm on jobs using (firm_id = current_firm());

alter table job_edits enable row level security;
alter table job_edits force row level security;
create policy own_firm_read on job_edits for select using (firm_id = current_firm());
create policy own_firm_append on job_edits for insert with check (firm_id = current_firm());
