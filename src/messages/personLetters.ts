/** What a letter to a colleague says; the link stands on a line of its own. */
export function personLetter(
  { kind, programme, name, by, address }: PersonLetter,
  token: string,
): { subject: string; text: string } {
  const hello = name ? `Hello ${name},` : 'Hello,';
  if (kind === 'invite')
    return {
      subject: `${programme}: your place in Footstool`,
      text: [
        hello,
        '',
        `${by} asks you to join ${programme} in Footstool, where short sessions for families are written and sent.`,
        'Open this link within seven days and choose a password:',
        '',
        `${address}/join/${token}`,
        '',
        'If you did not expect this, you need not do anything.',
      ].join('\n'),
    };
  return {
    subject: 'Footstool: a new password',
    text: [
      hello,
      '',
      'Somebody asked for a new password for this address in Footstool. If that was you, open this link within an hour:',
      '',
      `${address}/reset/${token}`,
      '',
      'If it was not, leave it: your password stays as it is.',
    ].join('\n'),
  };
}

interface PersonLetter {
  readonly kind: 'invite' | 'reset';
  readonly programme: string;
  readonly name: string;
  readonly by: string;
  readonly address: string;
}
