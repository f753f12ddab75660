-- Up Migration
-- Two roles: the one that runs migrations owns every table and sees every firm's rows; the app's, upper_deck, reads and writes
-- rows of the firm that a transaction names, and can neither alter a table nor take anything out of the history.

-- Who can sign in. An address belongs to a person, not to a firm: whoever works for two has one passphrase.
create table accounts (
  email text primary key check (email = lower(email) and length(email) between 3 and 254),
  passphrase_hash text not null,
  changed_at timestamptz not null default now(),
  created_at timestamptz not null default now()
);

alter table people drop constraint people_role_check;
alter table people add constraint people_role_check check (role in ('owner', 'planner', 'lead', 'yard', 'guest'));
alter table people add column email text check (email = lower(email));
-- Who may type an engineer's or electrician's figure, and under which licence.
alter table people add column vouches boolean not null default false;
alter table people add column licence text not null default '' check (length(licence) <= 80);
-- A guest reads one job.
alter table people add column job_id uuid check ((role = 'guest') = (job_id is not null));
alter table people add column left_at timestamptz;
alter table people add constraint people_guest_job foreign key (firm_id, job_id) references jobs on delete cascade;
create unique index people_by_email on people (firm_id, email) where email is not null;

-- Where an account works: what a sign-in looks up before it knows a firm.
create table account_firms (
  email text not null references accounts,
  firm_id uuid not null,
  person_id uuid not null,
  primary key (email, firm_id),
  foreign key (firm_id, person_id) references people on delete cascade
);

create table passphrase_resets (
  email text not null references accounts,
  secret_hash text not null,
  expires_at timestamptz not null,
  used_at timestamptz,
  primary key (email, secret_hash)
);

alter table sessions add column seen_at timestamptz not null default now();
alter table sessions add column device text not null default '' check (length(device) <= 200);
create index sessions_of_person on sessions (firm_id, person_id);

create table invitations (
  firm_id uuid not null references firms,
  invitation_id uuid not null,
  secret_hash text not null,
  email text check (email = lower(email)),
  role text not null check (role in ('owner', 'planner', 'lead', 'yard', 'guest')),
  vouches boolean not null default false,
  licence text not null default '' check (length(licence) <= 80),
  job_id uuid check ((role = 'guest') = (job_id is not null)),
  -- Nobody invites a firm's first owner.
  invited_by uuid,
  made_at timestamptz not null default now(),
  expires_at timestamptz not null,
  accepted_at timestamptz,
  taken_back_at timestamptz,
  primary key (firm_id, invitation_id),
  foreign key (firm_id, job_id) references jobs on delete cascade,
  foreign key (firm_id, invited_by) references people
);

-- A link by which one job, or one issued sheet of it, can be read without an account until a day, or until it is taken back.
create table share_links (
  firm_id uuid not null,
  link_id uuid not null,
  secret_hash text not null,
  job_id uuid not null,
  revision int check (revision > 0),
  note text not null default '' check (length(note) <= 120),
  made_by uuid not null,
  made_at timestamptz not null default now(),
  expires_at timestamptz not null,
  taken_back_at timestamptz,
  opened_at timestamptz,
  primary key (firm_id, link_id),
  foreign key (firm_id, job_id) references jobs on delete cascade,
  foreign key (firm_id, job_id, revision) references issued_sheets,
  foreign key (firm_id, made_by) references people
);
create index share_links_of_job on share_links (firm_id, job_id);

-- Counts of tries, by who or where from; kept here, so that every copy of the server counts together.
create table tries (
  key varchar(255) primary key,
  points int not null default 0,
  expire bigint
);

-- A deleted job is out of sight at once and gone after a month, by the owner's hand.
alter table jobs add column deleted_at timestamptz;
-- What each change was made as: a lead's is a change on the roof.
alter table job_edits add column role text not null default 'planner' check (role in ('owner', 'planner', 'lead'));
-- The licence under which somebody vouched for an engineer's or electrician's figure with it.
alter table job_edits add column licence text check (length(licence) <= 80);
create index job_edits_vouched on job_edits (firm_id, job_id, version) where licence is not null;
-- A sheet's id is made by whoever issues it, so that asking twice issues one.
alter table issued_sheets add column sheet_id uuid;
create unique index issued_sheets_by_id on issued_sheets (firm_id, job_id, sheet_id);
alter table issued_sheets add column planner text not null default '';
-- Counts what was changed on the shelf: what a job comes to holds for one state of it.
alter table firms add column catalogue_version int not null default 0;
update jobs set summary_of = null;

create function current_email() returns text language sql stable
  as $$ select nullif(current_setting('app.email', true), '') $$;

alter table accounts enable row level security;
alter table accounts force row level security;
create policy own_account on accounts using (email = current_email());
alter table account_firms enable row level security;
alter table account_firms force row level security;
create policy own_account on account_firms using (email = current_email());
alter table passphrase_resets enable row level security;
alter table passphrase_resets force row level security;
create policy own_account on passphrase_resets using (email = current_email());
alter table invitations enable row level security;
alter table invitations force row level security;
create policy own_firm on invitations using (firm_id = current_firm());
alter table share_links enable row level security;
alter table share_links force row level security;
create policy own_firm on share_links using (firm_id = current_firm());

-- The keeper of the tables sees all of them: for migrations, the demo and a backup that is whole.
do $$
declare one text;
begin
  foreach one in array array['firms', 'people', 'sessions', 'catalogue_items', 'jobs', 'job_edits', 'photographs', 'issued_sheets', 'ticks',
    'accounts', 'account_firms', 'passphrase_resets', 'invitations', 'share_links'] loop
    execute format('create policy keeper on %I to upper_deck_owner using (true) with check (true)', one);
  end loop;
end $$;

grant usage on schema public to upper_deck;
grant select, insert, update on firms, people, accounts, invitations, share_links, passphrase_resets to upper_deck;
grant select, insert, delete on account_firms, ticks to upper_deck;
grant select, insert, update, delete on sessions, catalogue_items, photographs, tries to upper_deck;
grant select, insert, update on jobs to upper_deck;
-- What was done stays done.
grant select, insert on job_edits, issued_sheets to upper_deck;
-- Which version of the tables this is.
grant select on migrations to upper_deck;
