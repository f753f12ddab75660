-- Up Migration
-- Photographs of a site, as they were taken, each with a small picture made when it came in.

create table photographs (
  firm_id uuid not null,
  job_id uuid not null,
  photo_id uuid not null default gen_random_uuid(),
  person_id uuid not null,
  caption text not null default '' check (length(caption) <= 200),
  content_type text not null check (content_type in ('image/jpeg', 'image/png', 'image/webp')),
  width_px int not null check (width_px > 0),
  height_px int not null check (height_px > 0),
  picture bytea not null check (length(picture) between 1 and 12582912),
  thumbnail bytea not null check (length(thumbnail) between 1 and 262144),
  taken_in_at timestamptz not null default now(),
  primary key (firm_id, job_id, photo_id),
  foreign key (firm_id, job_id) references jobs on delete cascade,
  foreign key (firm_id, person_id) references people
);

alter table photographs enable row level security;
alter table photographs force row level security;
create policy own_firm on photographs using (firm_id = current_firm());
