export { cutFileOf } from './cut-file';
export { readCutFile } from './read-cut-file';
export { runCutter, type CutRun } from './simulate';
export { cutFaultWords, timeWords } from './words';
