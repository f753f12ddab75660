-- Up Migration
-- A job may be put away without being lost; what the list shows of it is kept with the version and the build it was worked out by.
alter table jobs add column archived_at timestamptz;
alter table jobs add column summary jsonb;
alter table jobs add column summary_of text;
