-- Up Migration
-- Usual sizes of coverings, sets, and what goes with what are shelves too.
alter table catalogue_items drop constraint catalogue_items_kind_check;
alter table catalogue_items add constraint catalogue_items_kind_check check (kind in ('modules', 'rails', 'mounts', 'clamps', 'supplies', 'coverings', 'sets', 'pairs'));

-- Items of before: evidence becomes a source, lists of what goes with what become pairs, and figures nobody was asked for are not given.
-- The tables' owner sees every firm's rows only while row-level security is not forced.
alter table catalogue_items no force row level security;

create function pg_temp.source_of(evidence text) returns jsonb language sql as $$
  select jsonb_build_object('by', case when evidence ilike 'invented%' then 'invented' else 'from-memory' end, 'note', coalesce(evidence, 'Nobody wrote down where it is from'), 'on', to_char(now(), 'YYYY-MM-DD'))
$$;

insert into catalogue_items (firm_id, kind, item_id, position, data)
select firm_id, 'pairs', rail_id || '--' || with_id, row_number() over (partition by firm_id) - 1,
  jsonb_build_object('id', rail_id || '--' || with_id, 'railId', rail_id, 'withId', with_id, 'source', pg_temp.source_of(evidence))
from (
  select distinct on (firm_id, rail_id, with_id) * from (
    select firm_id, item_id as rail_id, jsonb_array_elements_text(data -> 'mountIds') as with_id, data ->> 'evidence' as evidence from catalogue_items where kind = 'rails' and data ? 'mountIds'
    union all
    select firm_id, jsonb_array_elements_text(data -> 'railIds'), item_id, data ->> 'evidence' from catalogue_items where kind = 'clamps' and data ? 'railIds'
  ) as named
) as pairs;

update catalogue_items set data = jsonb_build_object('figureSources', '{}'::jsonb, 'retired', false, 'replaces', null)
  || case kind when 'modules' then '{"plate": null, "lipMm": null, "junctionBox": null, "leadMm": null, "warranty": null}'::jsonb else '{}'::jsonb end
  || (data - 'evidence' - 'mountIds' - 'railIds')
  || jsonb_build_object('source', pg_temp.source_of(data ->> 'evidence'))
where kind in ('modules', 'rails', 'mounts', 'clamps', 'supplies') and data ? 'evidence';

drop function pg_temp.source_of(text);
alter table catalogue_items force row level security;
