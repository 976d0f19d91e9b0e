import { object, ref, string } from 'yup';

const LEAST_PASSWORD = 10;

/** One address for letters, in small letters. */
const emailAddress = () =>
  string()
    .trim()
    .lowercase()
    .required('is needed')
    .max(200, 'must be at most 200 characters')
    .email('must be one address, such as name@place.example');

const personName = () =>
  string().trim().required('is needed').max(200, 'must be at most 200 characters').matches(/\S/, 'is needed');

/** A password somebody chooses; the only rule is its length. */
export const newPassword = () =>
  string()
    .required('is needed')
    .min(LEAST_PASSWORD, `must have at least ${LEAST_PASSWORD} characters`)
    .max(200, 'must be at most 200 characters');

const again = (name: string) =>
  string()
    .required('is needed')
    .oneOf([ref(name)], 'must be the same twice');

export const ROLES = ['owner', 'author', 'reader'] as const;
export type Role = (typeof ROLES)[number];

const role = () => string().required('choose a part').oneOf(ROLES, 'choose a part');

/** The first owner of an installation, with a programme to work in. */
export const beginForm = object({
  code: string().trim().required('is needed').max(40),
  programme: personName(),
  name: personName(),
  email: emailAddress(),
  password: newPassword(),
  again: again('password'),
  /** Ticked: the shelf begins with the starter collection. */
  starter: string().default('').max(10),
});

export const inviteForm = object({ name: personName(), email: emailAddress(), role: role() });
export const roleForm = object({ user: string().required().uuid(), role: role() });

/** Joining by an invitation; who has an account already gives its password. */
export const joinForm = object({
  name: personName(),
  password: string().required('is needed').max(200),
  again: string().default('').max(200),
});

export const forgotForm = object({ email: emailAddress() });
export const resetForm = object({ password: newPassword(), again: again('password') });
export const passwordForm = object({
  current: string().required('is needed').max(200),
  password: newPassword(),
  again: again('password'),
});
