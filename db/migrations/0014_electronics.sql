-- Up Migration
-- Electronics, trunk cables and inverters are shelves too.
alter table catalogue_items drop constraint catalogue_items_kind_check;
alter table catalogue_items add constraint catalogue_items_kind_check check (kind in ('modules', 'rails', 'mounts', 'clamps', 'supplies', 'coverings', 'inRoofs', 'electronics', 'trunks', 'inverters', 'sets', 'pairs', 'approvals'));

-- What stands in a job keeps its figures like any part.
create or replace function parts_named(named jsonb) returns table (shelf text, item_id text) language sql immutable as $$
  select distinct fields.shelf, id #>> '{}'
  from (values ('modules', '$.**.moduleId'::jsonpath), ('rails', '$.**.railId'), ('mounts', '$.**.mountId'), ('clamps', '$.**.clampsId'), ('supplies', '$.**.supplyIds[*]'), ('inRoofs', '$.**.systemId'),
    ('electronics', '$.**.unitId'), ('trunks', '$.**.trunkId'), ('inverters', '$.**.inverterId')) as fields (shelf, path)
  cross join lateral jsonb_path_query(named, path) as id
  where jsonb_typeof(id) = 'string'
$$;
