import type { Role } from '@open-larder/contract';
import type { Request } from 'express';

export interface Person {
  id: string;
  name: string;
  email: string | null;
}

export interface Who {
  /** Null where whoever uses the machine is the keeper, without a password. */
  person: Person | null;
  /** Null for a person who has left every household. */
  household: { id: string; role: Role } | null;
}

/** Who sent a request, and the means to sign that browser in and out. */
export interface Visitor {
  who: Who | null;
  /** Network address that tries are counted by. */
  from: string;
  /** The address that the page was opened by, as its browser names it. */
  origin: string;
  /** Whether the request comes from the machine that the server runs on. */
  onThisMachine: boolean;
  /** What kind of device it is, as far as its browser tells. */
  device: string;
  /** The browser, among those where the person is signed in. */
  deviceId: string | null;
  signIn: (personId: string, householdId: string | null) => Promise<void>;
  /** Go on in another of the person’s households. */
  moveTo: (householdId: string | null) => Promise<void>;
  signOut: () => Promise<void>;
}

export type VisitorOf = (request: Request) => Promise<Visitor>;

const LOOPBACK = /^(127\.|::1$|::ffff:127\.)/;
export const isLoopback = (address: string | undefined): boolean => LOOPBACK.test(address ?? '');

/** «https://fish.example:8443» */
export const originOf = (request: Request): string => `${request.protocol}://${request.host}`;

const noSessions = () => Promise.reject(new Error('sign-in is off on this server'));

/** A visitor whose identity does not matter. */
export const STRANGER: Visitor = {
  who: null,
  from: '',
  origin: '',
  onThisMachine: false,
  device: '',
  deviceId: null,
  signIn: noSessions,
  moveTo: noSessions,
  signOut: noSessions,
};

/** Whoever uses this machine is the owner: for a server that answers on loopback alone. */
export const keeperByItself =
  (householdOf: (request: Request) => NonNullable<Who['household']>): VisitorOf =>
  async (request) => ({
    ...STRANGER,
    who: { person: null, household: householdOf(request) },
    from: request.ip ?? '',
    origin: originOf(request),
    onThisMachine: isLoopback(request.socket.remoteAddress),
  });
