import type { ReactNode } from 'react';
import { counted } from './joined';

export const account = {
  // Said in several rooms
  leaveIt: 'Leave it',

  // Invites.tsx
  letOthersIn: 'Let others in',
  whoeverHasTheCodeMakes:
    'Whoever has the code makes an account of their own here. It holds for a fortnight.',
  itIsNotShownAgain: 'It is not shown again.',
  forWhom: 'For whom',
  howMany: 'How many',
  makeAnInvite: 'Make an invite',
  forAnyone: 'for anyone',
  leftUntil: (usesLeft: number, expires: string) => `${usesLeft} left, until ${expires}`,
  takeItBack: 'Take it back',

  // RecoveryCodes.tsx
  recoveryCodes: 'Recovery codes',
  youHaveNoneYet: 'You have none yet.',
  youHaveLeft: (n: number) => `You have ${n} left.`,
  thereIsNoMailTo: (n: ReactNode) => (
    <>
      There is no mail to send a lost password to. With one of these codes you set a new one; each works once.{' '}
      {n}
    </>
  ),
  writeThemDownOrPrint: 'Write them down or print them now: they are not shown again.',
  iHaveThem: 'I have them',
  yourPassword: 'Your password',
  makeNewOnes: 'Make new ones',
  makeCodes: 'Make codes',

  // You.tsx
  oneMoment: 'One moment…',
  nobodyElseHereSeesAnything: 'Nobody else here sees anything of yours.',
  signOut: 'Sign out',
  signedIn: 'Signed in',
  here: 'Here',
  sinceLastUsed: (started: string, seen: string) => `since ${started}, last used ${seen}`,
  signOutThere: 'Sign out there',
  signOutEverywhereElse: 'Sign out everywhere else',
  thePasswordIsChangedOther: 'The password is changed; other devices are signed out.',
  password: 'Password',
  now: 'Now',
  theOneYouHave: 'The one you have.',
  fromNowOn: 'From now on',
  itHas10CharactersAt: 'It has 10 characters at least.',
  changeIt: 'Change it',
  takeEverythingAlong: 'Take everything along',
  allYouEnteredAsOne:
    'All you entered, as one file: waters, stations, spots, depths, readings, log, kit, rules, limits and settings. Any Grey Pebble reads it back into an account that is empty.',
  takeTheFile: 'Take the file',
  deleteTheAccount: 'Delete the account',
  everythingInItGoesAt: 'Everything in it goes at once, and nobody can bring it back. Take it along first.',
  deleteTheAccount2: 'Delete the account…',
  /** What goes with an account, counted. */
  theseGo: (
    b: Record<'spots' | 'waters' | 'stations' | 'spells' | 'catches' | 'readings' | 'kit' | 'rules', number>,
  ) =>
    `These go: ${counted(b.spots, 'spot', 'spots')} in ${counted(b.waters, 'water', 'waters')}, ${counted(b.stations, 'tide station', 'tide stations')}, ${counted(b.spells, 'spell', 'spells')} with ${counted(b.catches, 'catch', 'catches')}, ${counted(b.readings, 'reading', 'readings')}, ${counted(b.kit, 'thing', 'things')} of your kit, ${counted(b.rules, 'rule', 'rules')} of your own.`,
  yesAllOfIt: 'Yes, all of it',
  yourPasswordToBeSure: 'Your password, to be sure it is you',
  deleteEverythingNow: 'Delete everything now',
};
