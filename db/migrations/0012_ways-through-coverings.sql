-- Up Migration
-- How a mount goes through a covering is said by its ways; what stood in three fields before is kept in the maker's words.
update catalogue_items
set data = (data - 'flashed' - 'sealantMl') || jsonb_build_object(
  'closures', '[]'::jsonb,
  'sealant', left(concat_ws('; ', nullif(data ->> 'sealant', ''),
    case when data ->> 'flashed' = 'true' then 'with a flashing' end,
    case when (data ->> 'sealantMl')::numeric > 0 then (data ->> 'sealantMl') || ' ml of sealant' end), 300))
where kind = 'mounts' and not data ? 'closures';

-- Coverings as they are sold say their tabs, lengths and profiles; until somebody does, they stand at usual sizes.
update catalogue_items
set data = jsonb_set(data, '{size}', (case data #>> '{size,kind}'
  when 'coursed-shingle' then '{"tabMm": null}'::jsonb
  when 'interlocking-tile' then jsonb_build_object('lengthMm', (data #>> '{size,gaugeMm}')::numeric + 75)
  when 'plain-tile' then '{"lengthMm": 265}'::jsonb
  when 'slate' then '{"mayCut": true}'::jsonb
  when 'pressed-metal-tile' then '{"profile": "pan"}'::jsonb
  when 'standing-seam' then '{"profile": "double-lock"}'::jsonb
  else '{}'::jsonb end) || (data -> 'size'))
where kind = 'coverings';
