-- Up Migration
-- A link may show a hand-over pack and nothing beside it.
alter table share_links add column pack text check (pack in ('householder', 'inspector'));
alter table share_links add constraint share_links_one_thing check (revision is null or pack is null);

drop function who_asks(uuid, uuid, uuid);
-- Who asks, by a session or by a link, and whether the job of the address is there.
create function who_asks(session uuid, link uuid, job uuid)
returns table (
  "firmId" uuid, "firmName" text, shelf int, "personId" text, "personName" text, role text, vouches boolean, licence text, email text, "jobId" uuid, revision int, pack text, unseen boolean, "jobThere" boolean
) language plpgsql stable as $$
begin
  if session is not null then
    return query
      select f.firm_id, f.name, f.catalogue_version, p.person_id::text, p.name, p.role, p.vouches, p.licence, p.email, p.job_id, null::int, null::text, s.seen_at < now() - interval '5 minutes',
        job is null or exists (select from jobs j where j.firm_id = current_firm() and j.job_id = job and j.deleted_at is null)
      from sessions s join people p using (firm_id, person_id) join firms f using (firm_id)
      where s.firm_id = current_firm() and s.session_id = session and s.expires_at > now() and s.seen_at > now() - interval '72 hours' and p.left_at is null;
  else
    return query
      select f.firm_id, f.name, f.catalogue_version, '', 'Somebody with a link', 'guest', false, '', null::text, l.job_id, l.revision, l.pack, false,
        job is null or exists (select from jobs j where j.firm_id = current_firm() and j.job_id = job and j.deleted_at is null)
      from share_links l join firms f using (firm_id)
      where l.firm_id = current_firm() and l.link_id = link and l.expires_at > now() and l.taken_back_at is null;
  end if;
end $$;

-- The next day by which somebody wants something of a job; one without any comes last. Days are written so that they sort as words.
alter table jobs add column due text collate "C" generated always as (coalesce(summary #>> '{reminders,0,due}', '9999-12-31')) stored;
create index jobs_due on jobs (firm_id, archived, due, job_id) where deleted_at is null;
