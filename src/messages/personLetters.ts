import { sayLetter } from './screenWords.ts';

/** What a letter to a colleague says. */
export function personLetter(
  { kind, programme, name, by, address }: PersonLetter,
  token: string,
): { subject: string; text: string } {
  const hello = name ? sayLetter('hello', { name }) : sayLetter('hello-you');
  if (kind === 'invite')
    return {
      subject: sayLetter('invite.subject', { programme }),
      text: sayLetter('invite', { hello, by, programme, link: `${address}/join/${token}` }),
    };
  return {
    subject: sayLetter('reset.subject'),
    text: sayLetter('reset', { hello, link: `${address}/reset/${token}` }),
  };
}

interface PersonLetter {
  readonly kind: 'invite' | 'reset';
  readonly programme: string;
  readonly name: string;
  readonly by: string;
  readonly address: string;
}
