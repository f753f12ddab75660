-- Up Migration
-- The jobs that somebody is on, for his phone: found by who is named on the site sheet, without reading every job.
create index jobs_by_crew on jobs using gin ((document -> 'site' -> 'crew'));
