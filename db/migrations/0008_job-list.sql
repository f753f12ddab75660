-- Up Migration
-- What a list of ten thousand jobs is sorted and searched by, without opening a document: it reads rows and plans nothing.
create collation by_name (provider = icu, locale = 'und-u-kn-true');
alter table jobs add column title text collate by_name generated always as (coalesce(document ->> 'title', '')) stored;
alter table jobs add column place text generated always as (coalesce(document ->> 'place', '')) stored;
alter table jobs add column units text generated always as (coalesce(document ->> 'units', '')) stored;
alter table jobs add column stops int generated always as (coalesce((summary #>> '{totals,stops}')::int, 0)) stored;
create index jobs_changed on jobs (firm_id, (archived_at is not null), updated_at desc, job_id desc) where deleted_at is null;
create index jobs_opened on jobs (firm_id, (archived_at is not null), created_at desc, job_id desc) where deleted_at is null;
create index jobs_named on jobs (firm_id, (archived_at is not null), title, job_id) where deleted_at is null;
create index jobs_stopped on jobs (firm_id, (archived_at is not null), stops desc, job_id desc) where deleted_at is null;
-- The codes that a firm last gave a job.
create index jobs_codes on jobs (firm_id, units, created_at desc) where document -> 'codes' ->> 'kind' = 'us';
