/** What spoke for an answer was kept as a sentence; it is kept as its figures, and said when it is read. */
export const name = '0026-signs-as-figures';

export const up = String.raw`
CREATE OR REPLACE FUNCTION pg_temp.seen_of(kind text, says text) RETURNS jsonb LANGUAGE sql AS $$
  SELECT CASE kind
    WHEN 'belly' THEN jsonb_build_object('kind', 'belly',
      'score', coalesce(array_position(
        ARRAY['sunken', 'flat', 'well filled', 'round', 'bloated'],
        regexp_replace(says, ' still$', '')), 3),
      'still', says LIKE '% still')
    WHEN 'cleared' THEN jsonb_build_object('kind', 'cleared',
      'minutes', coalesce(substring(says FROM 'after (\d+) min')::numeric, 0),
      'ofMinutes', coalesce(substring(says FROM 'of (\d+)$')::numeric, 0))
    WHEN 'left' THEN jsonb_build_object('kind', 'left',
      'share', coalesce(substring(says FROM '^(\d+) %')::numeric, 0) / 100)
    WHEN 'mass' THEN jsonb_build_object('kind', 'mass',
      'ofUsual', coalesce(substring(says FROM '^(\d+) %')::numeric, 100) / 100)
    WHEN 'growth' THEN jsonb_build_object('kind', 'growth',
      'cm', coalesce(substring(says FROM ': ([\d.]+)')::numeric, 0)
        * CASE WHEN says ~ ': [\d.]+ in' THEN 2.54 WHEN says ~ ': [\d.]+ mm' THEN 0.1 ELSE 1 END,
      'usualCm', coalesce(substring(says FROM ', ([\d.]+)')::numeric, 0)
        * CASE WHEN says ~ ', [\d.]+ in' THEN 2.54 WHEN says ~ ', [\d.]+ mm' THEN 0.1 ELSE 1 END,
      'behind', says LIKE 'behind%')
    ELSE CASE
      WHEN says ~ '^(ammonia|nitrite) is' THEN jsonb_build_object('kind', 'poison',
        'which', substring(says FROM '^\w+'))
      ELSE jsonb_build_object('kind', 'nitrate',
        'now', says LIKE '%is at%',
        'mgL', coalesce(substring(says FROM 'at ([\d.]+) mg')::numeric, 0),
        'capMgL', coalesce(substring(says FROM 'tolerate ([\d.]+)')::numeric, 0),
        'groupName', coalesce(substring(says FROM 'mg/L[,;] (.+) tolerate'), ''),
        'grows', says LIKE '%these grow%')
      END
    END
$$;
ALTER TABLE answers DISABLE TRIGGER answers_append;
UPDATE answers SET signs = (
  SELECT coalesce(jsonb_agg(
    (sign - 'kind' - 'says') || jsonb_build_object('seen', pg_temp.seen_of(sign->>'kind', sign->>'says'))
    ORDER BY at), '[]')
  FROM jsonb_array_elements(signs) WITH ORDINALITY AS each(sign, at))
WHERE signs <> '[]';
ALTER TABLE answers ENABLE TRIGGER answers_append;
`;
