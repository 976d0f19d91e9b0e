import { spawn } from 'node:child_process';
import { resolve } from 'node:path';

/** Everything that is quick, side by side; what one of them says is shown whole when it is done. */
const CHECKS = ['types', 'lint', 'boundaries', 'docstrings', 'dead-code'];
const ROOT = resolve(import.meta.dirname, '../..');

function run(name: string): Promise<boolean> {
  const began = Date.now();
  return new Promise((ended) => {
    const check = spawn('npm', ['run', '--silent', name], { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'] });
    let said = '';
    check.stdout.on('data', (text: Buffer) => (said += text.toString()));
    check.stderr.on('data', (text: Buffer) => (said += text.toString()));
    check.on('exit', (code) => {
      const word = code === 0 ? 'passed' : 'failed';
      console.log(`${said.trimEnd()}\ncheck: ${name} ${word} after ${Math.round((Date.now() - began) / 1000)} s`);
      ended(code === 0);
    });
  });
}

const passed = await Promise.all(CHECKS.map(run));
process.exit(passed.every(Boolean) ? 0 : 1);
