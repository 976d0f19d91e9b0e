/** Homes for a file that is taken in: nicknames of their own, a child each, and nothing at hand. */
export const plainHomes = (count: number) =>
  Array.from({ length: count }, (_, index) => ({
    nickname: `Row ${index}`,
    contact: '',
    language: 'en',
    allergens: [],
    children: [{ nickname: `Child ${index}`, birthMonth: '2023-04', loves: '' }],
    things: [],
  }));
