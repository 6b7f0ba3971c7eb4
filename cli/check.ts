import { complain, openFile } from './open-file';

export function check(args: string[]): number {
  const [path] = args;
  if (!path) {
    console.error('check: expected the name of a file.');
    return 2;
  }
  const file = openFile(path);
  if (!file.ok) return complain(path, file.faults);
  console.log(`${path}: a sound ${file.value.format} file, version ${file.value.version}.`);
  return 0;
}
