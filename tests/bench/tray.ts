import PDFDocument from 'pdfkit';
import { importFile } from '../../src/server/services/importShelf.ts';
import { listHomes } from '../../src/server/services/homes.ts';
import { putMadeIntoSession } from '../../src/server/services/makersPage.ts';
import { readJob, startPrinting } from '../../src/server/services/printing.ts';
import { startWorking } from '../../src/server/queue/handlers.ts';
import { plainHomes } from '../support/homes.ts';
import { helpersFor, startProgrammes } from '../integration/programme.ts';

const HOMES = 18;

/** A session's tray for eighteen homes, from the press to the kept PDF, beside as many sheets that only carry one line. */
export async function printSets(report: (name: string, text: string) => void): Promise<void> {
  const at = await startProgrammes();
  const queue = await startWorking((error) => console.error(error));
  const missing = HOMES - (await listHomes(at.owner)).homes.length;
  const homes = plainHomes(missing);
  await importFile(at.owner, { format: 'footstool', version: 1, homes });
  const { id } = await helpersFor(() => at).sessionNamed('A parcel for Nim');
  for (const maker of ['number-pots', 'pair-cards', 'strips'])
    await putMadeIntoSession(at.owner, { id: maker, sessionId: id, written: {} });

  const began = performance.now();
  const job = await startPrinting(at.owner, id, { for: 'all', version: 'usual' });
  let answer = await readJob(at.owner, job);
  while (answer.state === 'waiting') {
    await new Promise((next) => setTimeout(next, 5));
    answer = await readJob(at.owner, job);
  }
  const ours = performance.now() - began;
  if (answer.state !== 'done') throw new Error(`the tray was not printed: ${answer.state}`);
  const baseline = await timeBareSheets(answer.pages);
  report(
    `print tray, ${HOMES} homes`,
    `${answer.pages} sheets, ${Math.round(answer.bytes / 1000)} kB in ${(ours / 1000).toFixed(2)} s; as many sheets of one line ${(baseline / 1000).toFixed(2)} s; ratio ${(ours / baseline).toFixed(1)}`,
  );
  await queue.stop();
  await at.remove();
}

async function timeBareSheets(sheets: number): Promise<number> {
  const began = performance.now();
  const document = new PDFDocument({ autoFirstPage: false, size: 'A4' });
  const ended = new Promise<void>((done) => document.on('end', () => done()));
  document.resume();
  for (let sheet = 0; sheet < sheets; sheet++) document.addPage().text(`sheet ${sheet}`);
  document.end();
  await ended;
  return performance.now() - began;
}
