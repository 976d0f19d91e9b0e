export { doTask as default } from '../services/beside.ts';
