import { useState } from 'react';
import { Field } from '../ui';

export interface NewPerson {
  name: string;
  email: string;
  password: string;
}

const BLANK: NewPerson = { name: '', email: '', password: '' };

/** As it is sent: an empty address is none. */
export const personSent = ({ name, email, password }: NewPerson) => ({
  name,
  email: email.trim() === '' ? null : email.trim(),
  password,
});

export function useNewPerson() {
  return useState(BLANK);
}

/** What a new person enters. */
export function NewPersonFields({
  person,
  onChange,
  errorAt,
  onSubmit,
}: {
  person: NewPerson;
  onChange: (person: NewPerson) => void;
  errorAt: (name: string) => string | undefined;
  onSubmit: () => void;
}) {
  const set = (part: Partial<NewPerson>) => onChange({ ...person, ...part });
  return (
    <>
      <Field
        label="Your name here"
        value={person.name}
        onChange={(name) => set({ name })}
        fieldError={errorAt('name')}
        hint="It appears beside what you feed and log."
        fill="name"
      />
      <Field
        label="E-mail, if you like"
        value={person.email}
        onChange={(email) => set({ email })}
        fieldError={errorAt('email')}
        hint="Only to sign in with: nothing is sent to it."
        keyboard="email"
      />
      <Field
        label="Password"
        value={person.password}
        onChange={(password) => set({ password })}
        fieldError={errorAt('password')}
        hint="At least 8 characters. Four words are easy to remember."
        fill="newPassword"
        onSubmit={onSubmit}
      />
    </>
  );
}
