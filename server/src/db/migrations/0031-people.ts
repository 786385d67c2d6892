/**
 * People, the households that they belong to, and where they are signed in. These rows belong to no
 * household. Of what lets someone in only digests are kept.
 */
export const name = '0031-people';

export const up = `
CREATE TABLE people (
  id uuid PRIMARY KEY,
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 30 AND position('@' in name) = 0),
  email text CHECK (length(email) BETWEEN 3 AND 254),
  password_hash text NOT NULL,
  since timestamptz NOT NULL
);
CREATE UNIQUE INDEX people_name ON people (lower(name));
CREATE UNIQUE INDEX people_email ON people (lower(email));

CREATE TABLE memberships (
  household_id uuid NOT NULL REFERENCES households,
  person_id uuid NOT NULL REFERENCES people,
  role text NOT NULL CHECK (role IN ('guest', 'feeder', 'keeper', 'owner')),
  since timestamptz NOT NULL,
  PRIMARY KEY (household_id, person_id)
);
CREATE INDEX memberships_person ON memberships (person_id);

CREATE TABLE recovery_codes (
  person_id uuid NOT NULL REFERENCES people,
  digest text NOT NULL,
  used_at timestamptz,
  PRIMARY KEY (person_id, digest)
);

CREATE TABLE invitations (
  id uuid PRIMARY KEY,
  household_id uuid NOT NULL REFERENCES households,
  role text NOT NULL CHECK (role IN ('guest', 'feeder', 'keeper', 'owner')),
  invited_by uuid REFERENCES people,
  digest text NOT NULL UNIQUE,
  expires_at timestamptz NOT NULL,
  ended_at timestamptz
);
CREATE INDEX invitations_household ON invitations (household_id);

CREATE TABLE pairings (
  digest text PRIMARY KEY,
  person_id uuid NOT NULL REFERENCES people,
  household_id uuid REFERENCES households,
  expires_at timestamptz NOT NULL,
  used_at timestamptz
);

CREATE TABLE sessions (
  sid text PRIMARY KEY,
  sess json NOT NULL,
  expire timestamp(6) NOT NULL
);
CREATE INDEX sessions_expire ON sessions (expire);
CREATE INDEX sessions_person ON sessions ((sess ->> 'personId'));

CREATE TABLE sign_in_waits (
  key text PRIMARY KEY,
  points integer NOT NULL DEFAULT 0,
  expire bigint
);

CREATE TABLE server_keys (
  name text PRIMARY KEY,
  value text NOT NULL
);
`;
