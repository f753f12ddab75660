-- Up Migration
-- What a list of ten thousand jobs is sorted and searched by, without opening a document: it reads rows and plans nothing.
create collation by_name (provider = icu, locale = 'und-u-kn-true');
alter table jobs add column title text collate by_name generated always as (coalesce(document ->> 'title', '')) stored;
alter table jobs add column place text generated always as (coalesce(document ->> 'place', '')) stored;
alter table jobs add column units text generated always as (coalesce(document ->> 'units', '')) stored;
alter table jobs add column stops int generated always as (coalesce((summary #>> '{totals,stops}')::int, 0)) stored;
alter table jobs add column archived boolean generated always as (archived_at is not null) stored;
-- Compared sign by sign: a collation that knows languages takes ten times as long.
alter table jobs add column sought text collate "C" generated always as (lower(coalesce(document ->> 'title', '') || ' ' || coalesce(document ->> 'place', ''))) stored;
create index jobs_changed on jobs (firm_id, archived, updated_at desc, job_id desc) where deleted_at is null;
create index jobs_opened on jobs (firm_id, archived, created_at desc, job_id desc) where deleted_at is null;
create index jobs_named on jobs (firm_id, archived, title, job_id) where deleted_at is null;
create index jobs_stopped on jobs (firm_id, archived, stops desc, job_id desc) where deleted_at is null;
-- What is looked for in names and places, in a firm that has many.
create extension if not exists pg_trgm;
create index jobs_sought on jobs using gin (sought gin_trgm_ops) where deleted_at is null;
-- The codes that a firm last gave a job.
create index jobs_codes on jobs (firm_id, units, created_at desc) where document -> 'codes' ->> 'kind' = 'us';

-- Who asks, and whether the job of the address is there: what every request begins with. A function, since its plan is kept by each
-- connection; a statement of five tables takes longer to plan than to answer, and names of prepared ones do not go through a pooler.
create function who_asks(session uuid, link uuid, job uuid)
returns table (
  "firmId" uuid, "firmName" text, shelf int, "personId" text, "personName" text, role text, vouches boolean, licence text, email text, "jobId" uuid, revision int, unseen boolean, "jobThere" boolean
) language plpgsql stable as $$
begin
  if session is not null then
    return query
      select f.firm_id, f.name, f.catalogue_version, p.person_id::text, p.name, p.role, p.vouches, p.licence, p.email, p.job_id, null::int, s.seen_at < now() - interval '5 minutes',
        job is null or exists (select from jobs j where j.firm_id = current_firm() and j.job_id = job and j.deleted_at is null)
      from sessions s join people p using (firm_id, person_id) join firms f using (firm_id)
      where s.firm_id = current_firm() and s.session_id = session and s.expires_at > now() and s.seen_at > now() - interval '72 hours' and p.left_at is null;
  else
    return query
      select f.firm_id, f.name, f.catalogue_version, '', 'Somebody with a link', 'guest', false, '', null::text, l.job_id, l.revision, false,
        job is null or exists (select from jobs j where j.firm_id = current_firm() and j.job_id = job and j.deleted_at is null)
      from share_links l join firms f using (firm_id)
      where l.firm_id = current_firm() and l.link_id = link and l.expires_at > now() and l.taken_back_at is null;
  end if;
end $$;

-- A job as it is opened: its row, and the last of its history, the newest first.
create function open_job(job uuid, most int)
returns table ("jobId" uuid, document jsonb, version int, "updatedAt" timestamptz, entries json) language plpgsql stable as $$
begin
  return query
    select j.job_id, j.document, j.version, j.updated_at,
      (select coalesce(json_agg(e), '[]') from (
        select edit_id as id, kind, edit, inverse, person_id as "personId" from job_edits h where h.firm_id = current_firm() and h.job_id = job order by h.version desc limit most
      ) e)
    from jobs j where j.firm_id = current_firm() and j.job_id = job and j.deleted_at is null;
end $$;
