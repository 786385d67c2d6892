import type { ResponseOf, RouteName } from '@open-larder/contract';
import { ALL_TAGS, api } from '../store/api';
import { call, type CallParts } from '../store/call';

/** People, devices and invitations: loaded with the screens that show them. */
export const peopleApi = api
  .enhanceEndpoints({ addTagTypes: ['people', 'device', 'passkey', 'invitation'] })
  .injectEndpoints({
    endpoints: (build) => {
      /** Another person or another household: all that was read before is another’s. */
      const enter = <N extends RouteName>(name: N) =>
        build.mutation<ResponseOf<N>, CallParts<N>>({
          queryFn: (parts) => call(name, parts),
          invalidatesTags: (_result, error) =>
            error ? [] : [...ALL_TAGS, 'people', 'device', 'passkey', 'invitation'],
        });
      const change = <N extends RouteName>(
        name: N,
        stale: ('me' | 'people' | 'device' | 'passkey' | 'invitation')[],
      ) =>
        build.mutation<ResponseOf<N>, CallParts<N>>({
          queryFn: (parts) => call(name, parts),
          invalidatesTags: (_result, error) => (error ? [] : stale),
        });
      return {
        people: build.query<ResponseOf<'listPeople'>['people'], void>({
          queryFn: async () => {
            const answer = await call('listPeople');
            return 'error' in answer ? answer : { data: answer.data.people };
          },
          providesTags: ['people'],
        }),
        devices: build.query<ResponseOf<'listDevices'>['devices'], void>({
          queryFn: async () => {
            const answer = await call('listDevices');
            return 'error' in answer ? answer : { data: answer.data.devices };
          },
          providesTags: ['device'],
        }),
        invitations: build.query<ResponseOf<'listInvitations'>['invitations'], void>({
          queryFn: async () => {
            const answer = await call('listInvitations');
            return 'error' in answer ? answer : { data: answer.data.invitations };
          },
          providesTags: ['invitation'],
        }),
        passkeys: build.query<ResponseOf<'listPasskeys'>['passkeys'], void>({
          queryFn: async () => {
            const answer = await call('listPasskeys');
            return 'error' in answer ? answer : { data: answer.data.passkeys };
          },
          providesTags: ['passkey'],
        }),
        beginPasskey: change('beginPasskey', []),
        addPasskey: change('addPasskey', ['passkey']),
        removePasskey: change('removePasskey', ['passkey']),
        beginPasskeySignIn: change('beginPasskeySignIn', []),
        signInByPasskey: enter('signInByPasskey'),
        signIn: enter('signIn'),
        recoverAccount: enter('recoverAccount'),
        pairDevice: enter('usePairing'),
        chooseHousehold: enter('chooseHousehold'),
        beginHousehold: enter('beginHousehold'),
        leaveHousehold: enter('leaveHousehold'),
        // Their codes are read before the house is entered: see CodesCard.
        beginHouse: change('beginHouse', []),
        acceptInvitation: change('acceptInvitation', []),
        seeInvitation: change('seeInvitation', []),
        exportMe: change('exportMe', []),
        // The way in opens after what remains was read: see DeleteAccount and EraseHousehold.
        eraseMe: change('eraseMe', []),
        eraseHousehold: change('eraseHousehold', []),
        printQrLabels: change('printQrLabels', []),
        makePairing: change('makePairing', []),
        changePassword: change('changePassword', ['device']),
        makeCodes: change('makeCodes', []),
        signOutDevice: change('signOutDevice', ['device']),
        editRole: change('editRole', ['people', 'me']),
        removePerson: change('removePerson', ['people']),
        createInvitation: change('createInvitation', ['invitation']),
        withdrawInvitation: change('withdrawInvitation', ['invitation']),
      };
    },
  });
