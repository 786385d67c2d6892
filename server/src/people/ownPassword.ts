import { invalid } from '../http/problems';
import { isPassword } from './passwords';
import type { PeopleParts } from './routes';
import { passwordHashOf } from './store';
import type { Person, Visitor } from './visitor';

/**
 * What lets someone in is changed only by who types their password again.
 * @param field that the password was typed into
 * @throws ProblemError 422 where it is not theirs, 429 after several wrong ones
 */
export async function assertOwnPassword(
  { registry, waits }: PeopleParts,
  visitor: Visitor,
  person: Person,
  password: string,
  field = 'password',
): Promise<void> {
  const right = await waits.guard(visitor.from, person.name, async () =>
    (await isPassword(await passwordHashOf(registry, person.id), password)) ? true : null,
  );
  if (!right) throw invalid(field, 'this is not your password');
}
