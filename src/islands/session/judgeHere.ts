/** For a browser without workers: loaded when it is asked for. What needs the words of the language is not looked at then. */
export { judgeSession } from '../../core/checks/index.ts';
