/**
 * Form and width of a food's pieces, and what a hand unit weighs by its size. A food that still has the
 * figures it was copied with gets the corrected ones; what a keeper typed or weighed stays. What
 * changed is kept to be said once.
 */
export const name = '0018-pieces';

export const up = `
ALTER TABLE foods
  ADD COLUMN piece_form text CHECK (length(piece_form) <= 20),
  ADD COLUMN width_min_mm numeric CHECK (width_min_mm > 0),
  ADD COLUMN width_max_mm numeric CHECK (width_max_mm >= width_min_mm);

UPDATE species SET entry = '{"takesDry": null, "appetitePeakC": null}' || entry;

ALTER TABLE tanks
  ADD COLUMN runs_since date,
  ADD COLUMN film text CHECK (film IN ('none', 'thin', 'furred')),
  ADD COLUMN film_on date,
  ADD CHECK ((film IS NULL) = (film_on IS NULL));

CREATE TABLE food_corrections (
  household_id uuid NOT NULL,
  food_id uuid NOT NULL,
  was_g numeric NOT NULL,
  is_g numeric NOT NULL,
  seen_at timestamptz,
  PRIMARY KEY (household_id, food_id),
  FOREIGN KEY (household_id, food_id) REFERENCES foods (household_id, id)
);

CREATE TEMPORARY TABLE corrected ON COMMIT DROP AS
SELECT * FROM (VALUES
  ('fine-flake', 0.055, 0.05, 0.5, 4, 0.5, 4, 'flake', 0.15, 0.25),
  ('large-flake', 0.07, 0.05, 4, 15, 4, 15, 'flake', 0.2, 0.3),
  ('plant-flake', 0.05, 0.05, 2, 10, 2, 10, 'flake', 0.15, 0.3),
  ('nettle-wafer-small', 0.12, 0.2, 8, 10, 8, 10, 'disc', 2, 3.5),
  ('nettle-wafer-large', 0.6, 2.3, 18, 24, 18, 24, 'disc', 5, 6.5),
  ('wood-and-bark-wafer', 0.5, 1.3, 14, 20, 14, 20, 'disc', 4, 6),
  ('sinking-pellet-small', 0.012, 0.0017, 1, 1.6, 1.1, 1.6, 'stick', 1, 1.4),
  ('sinking-pellet-medium', 0.06, 0.0105, 2, 3, 2, 3, 'stick', 2, 2.4),
  ('sinking-pellet-large', 0.35, 0.14, 5, 7, 5, 7, 'stick', 5, 5.6),
  ('floating-pellet-small', 0.02, 0.002, 1.5, 2, 1.5, 2, 'grain', 1.5, 2),
  ('floating-stick', 0.12, 0.08, 4, 5, 8, 14, 'stick', 4, 5),
  ('fine-granule', 0.09, 0.13, 0.4, 0.8, 0.4, 0.8, 'grain', 0.4, 0.8),
  ('medium-granule', 0.12, 0.13, 0.8, 1.4, 0.8, 1.4, 'grain', 0.8, 1.4),
  ('plant-granule', 0.11, 0.13, 0.8, 1.4, 0.8, 1.4, 'grain', 0.8, 1.4),
  ('colour-granule', 0.11, 0.13, 0.8, 1.2, 0.8, 1.2, 'grain', 0.8, 1.2),
  ('insect-granule', 0.1, 0.12, 0.7, 1.2, 0.7, 1.2, 'grain', 0.7, 1.2),
  ('krill-pellet', 0.05, 0.0105, 2, 3, 2, 3, 'stick', 2, 2.4),
  ('worm-tablet', 0.6, 0.6, 8, 14, 8, 14, 'disc', 4, 6),
  ('plant-tablet', 0.6, 0.6, 8, 14, 8, 14, 'disc', 4, 6),
  ('sticking-tablet', 0.4, 0.4, 8, 10, 8, 10, 'disc', 4, 5.5),
  ('fry-powder', 0.02, 0.04, 0.05, 0.2, 0.05, 0.2, 'powder', 0.05, 0.2),
  ('fry-powder-coarse', 0.025, 0.04, 0.2, 0.4, 0.2, 0.4, 'powder', 0.2, 0.4),
  ('spirulina-powder', 0.02, 0.04, 0.02, 0.1, 0.02, 0.1, 'powder', 0.02, 0.1),
  ('chlorella-powder', 0.02, 0.04, 0.01, 0.05, 0.01, 0.05, 'powder', 0.01, 0.05),
  ('egg-yolk-powder', 0.02, 0.04, 0.02, 0.1, 0.02, 0.1, 'powder', 0.02, 0.1),
  ('yeast-dried', 0.03, 0.05, 0.003, 0.01, 0.003, 0.01, 'powder', 0.003, 0.01),
  ('soya-flour', 0.03, 0.05, 0.01, 0.1, 0.01, 0.1, 'powder', 0.01, 0.1),
  ('nettle-powder', 0.02, 0.025, 0.1, 0.3, 0.1, 0.3, 'powder', 0.1, 0.3),
  ('freeze-dried-water-fleas', 0.02, 0.02, 0.8, 2, 0.8, 2, 'crustacean', 0.5, 1.2),
  ('freeze-dried-midge-larvae', 0.03, 0.03, 5, 10, 5, 10, 'worm', 0.6, 1),
  ('freeze-dried-tubifex-cube', 0.25, 0.09, 8, 10, 8, 10, 'block', 8, 10),
  ('freeze-dried-krill', 0.06, 0.025, 12, 20, 12, 20, 'crustacean', 2.5, 4),
  ('dried-gammarus', 0.02, 0.0075, 8, 15, 8, 15, 'crustacean', 2, 3.2),
  ('dried-black-soldier-fly-larvae', 0.05, 0.05, 10, 15, 10, 15, 'worm', 3, 4.5),
  ('dried-mealworms', 0.03, 0.03, 15, 25, 15, 25, 'worm', 2.2, 3.2),
  ('dried-sea-lettuce', 0.1, 0.07, 20, 40, 20, 40, 'leaf', 0.1, 0.2),
  ('nori-sheet', 0.1, 0.05, 20, 40, 20, 40, 'leaf', 0.1, 0.15),
  ('catappa-leaf', 1.2, 1.2, 60, 200, 60, 200, 'leaf', 0.2, 0.3),
  ('oak-leaf-autumn', 0.4, 0.4, 40, 120, 40, 120, 'leaf', 0.15, 0.25),
  ('alder-cone', 0.5, 0.45, 10, 20, 10, 20, 'shell', 8, 14),
  ('auto-feeder-mix', 0.15, 0.15, 1, 2, 1, 2, 'grain', 1, 2),
  ('holiday-block-slow', 20, 20, 20, 30, 20, 30, 'block', 20, 30),
  ('green-gel', 1.5, 1.5, 4, 10, 4, 10, 'block', 4, 10),
  ('insect-gel', 1.5, 1.5, 4, 10, 4, 10, 'block', 4, 10),
  ('shrimp-gel', 1.5, 1.5, 4, 10, 4, 10, 'block', 4, 10),
  ('gel-powder-set', 1.5, 1.5, 4, 10, 4, 10, 'block', 4, 10),
  ('frozen-water-fleas', 3.2, 3.2, 1, 3, 1, 3, 'crustacean', 0.6, 1.8),
  ('frozen-cyclops', 0.12, 0.12, 0.4, 1, 0.4, 1, 'crustacean', 0.15, 0.4),
  ('frozen-midge-larvae', 3.2, 3.2, 8, 15, 8, 15, 'worm', 0.7, 1),
  ('frozen-brine-shrimp', 3.2, 3.2, 4, 10, 4, 10, 'crustacean', 1, 2),
  ('frozen-white-mosquito-larvae', 3.2, 3.2, 8, 12, 8, 12, 'worm', 0.7, 1),
  ('frozen-black-mosquito-larvae', 3.2, 3.2, 5, 8, 5, 8, 'worm', 1, 1.5),
  ('frozen-mysis', 3.2, 3.2, 8, 15, 8, 15, 'crustacean', 1.5, 2.5),
  ('frozen-krill', 0.4, 0.15, 15, 25, 15, 25, 'crustacean', 3, 5),
  ('frozen-tubifex', 3.2, 3.2, 10, 30, 10, 30, 'worm', 0.3, 0.6),
  ('frozen-gammarus', 0.06, 0.04, 8, 15, 8, 15, 'crustacean', 2, 3.2),
  ('frozen-newly-hatched-brine-shrimp', 3.2, 3.2, 0.4, 0.6, 0.4, 0.6, 'crustacean', 0.17, 0.25),
  ('frozen-rotifers', 3.2, 3.2, 0.1, 0.25, 0.1, 0.25, 'crustacean', 0.08, 0.2),
  ('frozen-lobster-eggs', 0.15, 0.15, 0.8, 1.2, 0.8, 1.2, 'grain', 0.8, 1.2),
  ('frozen-mussel-meat', 2, 2, 10, 20, 12, 25, 'block', 8, 14),
  ('frozen-white-fish-strips', 2, 2, 10, 30, 20, 40, 'block', 6, 10),
  ('frozen-prawn-whole', 4, 4, 20, 40, 40, 70, 'block', 7, 11),
  ('frozen-green-mix', 3.2, 3.2, 1, 4, 1, 4, 'grain', 1, 4),
  ('courgette-slice', 8, 8, 40, 60, 40, 60, 'disc', 4, 6),
  ('spinach-leaf', 0.3, 0.3, 20, 40, 20, 40, 'leaf', 0.5, 0.8),
  ('blanched-cucumber', 8, 8, 40, 50, 40, 50, 'disc', 4, 6),
  ('blanched-green-beans', 1.5, 1, 10, 25, 10, 25, 'stick', 7, 10),
  ('shelled-peas-cooked', 0.3, 0.25, 5, 8, 6, 9, 'grain', 6, 9),
  ('blanched-broccoli', 4, 4, 15, 30, 15, 30, 'grain', 15, 30),
  ('blanched-kale', 0.4, 0.4, 20, 40, 20, 40, 'leaf', 0.6, 1),
  ('blanched-lettuce', 0.4, 0.4, 20, 40, 20, 40, 'leaf', 0.6, 0.9),
  ('blanched-dandelion-leaf', 1, 1, 50, 120, 50, 120, 'leaf', 0.2, 0.4),
  ('blanched-nettle', 0.4, 0.4, 20, 60, 20, 60, 'leaf', 0.4, 0.7),
  ('carrot-cooked', 3, 2.5, 15, 25, 15, 25, 'disc', 6, 10),
  ('pumpkin-cooked', 8, 8, 20, 40, 30, 45, 'disc', 6, 9),
  ('sweet-potato-cooked', 6, 6, 15, 30, 25, 40, 'disc', 6, 9),
  ('duckweed-fresh', 2, 2, 2, 5, 2, 5, 'leaf', 0.3, 0.8),
  ('green-stone', 3, 3, 1, 2, 1, 2, 'leaf', 0.1, 0.3),
  ('hatched-brine-shrimp', 0.05, 0.05, 0.4, 0.5, 0.4, 0.5, 'crustacean', 0.17, 0.22),
  ('moina-live', 0.25, 0.25, 0.3, 1.2, 0.3, 1.2, 'crustacean', 0.25, 0.8),
  ('live-water-fleas', 0.3, 0.3, 0.8, 3, 0.8, 3, 'crustacean', 0.5, 2),
  ('live-brine-shrimp', 0.25, 0.25, 1.5, 8, 1.5, 8, 'crustacean', 0.5, 2),
  ('live-cyclops', 0.2, 0.2, 0.3, 1.8, 0.3, 1.8, 'crustacean', 0.12, 0.6),
  ('infusoria', 1, 1, 0.03, 0.2, 0.03, 0.2, 'powder', 0.03, 0.2),
  ('green-water', 10, 10, 0.005, 0.02, 0.005, 0.02, 'powder', 0.005, 0.02),
  ('freshwater-rotifers', 1, 1, 0.1, 0.25, 0.1, 0.25, 'crustacean', 0.08, 0.2),
  ('vinegar-worms-live', 0.05, 0.05, 1, 2, 1, 2, 'worm', 0.025, 0.05),
  ('live-microworms', 0.05, 0.05, 1, 2, 1, 2, 'worm', 0.05, 0.1),
  ('live-banana-worms', 0.04, 0.05, 0.5, 1.5, 0.5, 1.5, 'worm', 0.03, 0.06),
  ('grindal-worms-live', 0.12, 0.2, 5, 10, 5, 10, 'worm', 0.3, 0.4),
  ('live-white-worms', 0.2, 0.2, 20, 30, 20, 30, 'worm', 0.5, 0.8),
  ('live-tubifex', 0.2, 0.2, 20, 40, 20, 40, 'worm', 0.3, 0.6),
  ('live-blackworms', 0.2, 0.2, 20, 60, 20, 60, 'worm', 0.8, 1),
  ('live-midge-larvae', 0.006, 0.006, 8, 15, 8, 15, 'worm', 0.7, 1),
  ('live-black-mosquito-larvae', 0.2, 0.2, 4, 8, 4, 8, 'worm', 1, 1.5),
  ('live-glassworms', 0.005, 0.0055, 8, 12, 8, 12, 'worm', 0.7, 1),
  ('flightless-fruit-flies', 0.001, 0.001, 2, 3, 2, 3, 'crustacean', 0.8, 1.1),
  ('live-earthworm-chopped', 0.1, 0.06, 3, 8, 3, 8, 'worm', 3, 5),
  ('live-gammarus', 0.03, 0.018, 5, 12, 5, 12, 'crustacean', 1.5, 2.8),
  ('live-bladder-snails', 0.05, 0.05, 4, 8, 4, 8, 'shell', 3, 5),
  ('decapsulated-brine-shrimp-eggs', 0.02, 0.05, 0.2, 0.25, 0.2, 0.25, 'grain', 0.2, 0.25),
  ('fish-meal-base', 5, 5, 0.1, 0.5, 0.1, 0.5, 'powder', 0.1, 0.5),
  ('insect-meal-base', 4, 4, 0.1, 0.5, 0.1, 0.5, 'powder', 0.1, 0.5),
  ('wheat-germ-base', 4, 4, 0.5, 2, 0.5, 2, 'powder', 0.5, 2),
  ('pea-protein-base', 4, 4, 0.05, 0.2, 0.05, 0.2, 'powder', 0.05, 0.2),
  ('gelatine', 4, 6, 0.2, 1, 0.2, 1, 'powder', 0.2, 1),
  ('agar', 3, 4, 0.1, 0.5, 0.1, 0.5, 'powder', 0.1, 0.5),
  ('paprika-powder', 0.05, 0.04, 0.1, 0.4, 0.1, 0.4, 'powder', 0.1, 0.4)
) AS v (key, was_g, is_g, was_min, was_max, min_mm, max_mm, form, width_min, width_max);

INSERT INTO food_corrections (household_id, food_id, was_g, is_g)
SELECT f.household_id, f.id, f.unit_mass_g, c.is_g
  FROM foods f JOIN corrected c ON c.key = f.copied_from
  WHERE f.unit_mass_g = c.was_g AND c.is_g <> c.was_g
    AND NOT EXISTS (SELECT 1 FROM weighings w
      WHERE w.household_id = f.household_id AND w.food_id = f.id AND w.undoes IS NULL
        AND NOT EXISTS (SELECT 1 FROM weighings u WHERE u.undoes = w.id));

UPDATE foods f SET unit_mass_g = n.is_g, version = version + 1
  FROM food_corrections n WHERE n.household_id = f.household_id AND n.food_id = f.id;

UPDATE foods f SET piece_form = c.form, width_min_mm = c.width_min, width_max_mm = c.width_max,
    particle_min_mm = c.min_mm, particle_max_mm = c.max_mm
  FROM corrected c
  WHERE c.key = f.copied_from AND f.particle_min_mm = c.was_min AND f.particle_max_mm = c.was_max;
`;
