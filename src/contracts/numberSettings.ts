import { CURRENCIES, type CurrencyName } from '../core/numbers/currencies.ts';
import { NUMBER_SCHOOLS, type NumberSchool } from '../core/session/makerSource.ts';
import { boolean, string } from 'yup';

/** How a programme works with numbers, field by field. */
export const numberSettings = () => ({
  zeroEarly: boolean().required(),
  stage: string()
    .required()
    .oneOf(['objects', 'pictures', 'signs'] as const),
  pastTen: boolean().required(),
  playOnly: boolean().required(),
  isLeftHanded: boolean().required(),
  school: string().oneOf(NUMBER_SCHOOLS as readonly NumberSchool[]),
  currency: string()
    .required()
    .oneOf(Object.keys(CURRENCIES) as CurrencyName[]),
});
