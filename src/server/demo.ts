/** The invented people of the demo programme and the day its second session is written for. */
export const DEMO = {
  secondSession: '2027-03-11',
  people: [
    { name: 'Odile Marrow', email: 'odile@quillbrook.example', password: 'two-low-steps', role: 'owner' },
    { name: 'Tamsin Reed', email: 'tamsin@quillbrook.example', password: 'paper-and-string', role: 'author' },
    { name: 'Bo Fennick', email: 'bo@quillbrook.example', password: 'only-looking-on', role: 'reader' },
  ],
} as const;
