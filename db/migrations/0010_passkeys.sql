-- Up Migration
-- Keys of people's own devices, by which they sign in without a passphrase. A sign-in knows a key's id before it knows whose it is.
create table passkeys (
  email text not null references accounts,
  credential_id text not null check (length(credential_id) <= 1400),
  public_key bytea not null,
  counter bigint not null default 0,
  name text not null default '' check (length(name) <= 120),
  made_at timestamptz not null default now(),
  used_at timestamptz,
  primary key (email, credential_id)
);
create unique index passkeys_by_id on passkeys (credential_id);
create function current_credential() returns text language sql stable
  as $$ select nullif(current_setting('app.credential', true), '') $$;
alter table passkeys enable row level security;
alter table passkeys force row level security;
create policy own_account on passkeys using (email = current_email() or credential_id = current_credential());
create policy keeper on passkeys to upper_deck_owner using (true) with check (true);
grant select, insert, update, delete on passkeys to upper_deck;

-- What a device has to sign, once, within minutes; kept here, so that another copy of the server may ask for it back.
create table challenges (
  challenge text primary key,
  email text,
  expires_at timestamptz not null
);
grant select, insert, delete on challenges to upper_deck;
