/** Keys that a person’s own device holds: of each only what can check it is kept here. */
export const name = '0033-passkeys';

export const up = `
CREATE TABLE passkeys (
  id uuid PRIMARY KEY,
  person_id uuid NOT NULL REFERENCES people,
  credential text NOT NULL UNIQUE,
  public_key text NOT NULL,
  -- How often it was used, as it counts itself; many count nothing and stay at 0.
  counter bigint NOT NULL CHECK (counter >= 0),
  transports text NOT NULL,
  device text NOT NULL,
  since timestamptz NOT NULL,
  used_at timestamptz
);
CREATE INDEX passkeys_person ON passkeys (person_id);

CREATE TABLE passkey_challenges (
  digest text PRIMARY KEY,
  person_id uuid REFERENCES people,
  expires_at timestamptz NOT NULL
);
`;
