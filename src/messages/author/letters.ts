/** Letters to colleagues; a link stands on a line of its own. */
export const letters = {
  hello: 'Hello {name},',
  'hello-you': 'Hello,',
  'invite.subject': '{programme}: your place in Footstool',
  invite:
    '{hello}\n\n{by} asks you to join {programme} in Footstool, where short sessions for families are written and sent.\nOpen this link within seven days and choose a password:\n\n{link}\n\nIf you did not expect this, you need not do anything.',
  'reset.subject': 'Footstool: a new password',
  reset:
    '{hello}\n\nSomebody asked for a new password for this address in Footstool. If that was you, open this link within an hour:\n\n{link}\n\nIf it was not, leave it: your password stays the same.',
} as const;
