import { checkForm } from '../../contracts/problems.ts';
import { programmeForm, programmeSettings, type ProgrammeSettings } from '../../contracts/programme.ts';
import { ProgrammeRow } from '../db/models.ts';
import { tables } from '../db/tables.ts';
import { EdgeError } from '../http/errors.ts';
import type { Person } from './person.ts';

/** Keeps a programme's settings; only an owner may. */
export async function keepProgramme(person: Person, form: URLSearchParams): Promise<ProgrammeSettings> {
  if (person.role !== 'owner') throw new EdgeError('not-allowed');
  const checked = checkForm(programmeForm, {
    ...Object.fromEntries(form),
    weekend: form.getAll('weekend'),
    closed: (form.get('closed') ?? '').split(/\s+/).filter(Boolean),
    ...Object.fromEntries(['zeroEarly', 'pastTen', 'playOnly', 'isLeftHanded'].map((name) => [name, form.has(name)])),
  });
  if (!checked.ok) throw new EdgeError('wrong-input', { problems: checked.problem });
  const { weekend, closed, seatedMinutesPerYear, sendWorkingDays, paper, ...numbers } = checked.value;
  const settings = programmeSettings.cast({
    ...person.settings,
    weekend,
    closed,
    seatedMinutesPerYear,
    sendWorkingDays,
    paper,
    numbers,
  });
  tables();
  await ProgrammeRow.update({ settings }, { where: { id: person.programmeId } });
  return settings;
}
