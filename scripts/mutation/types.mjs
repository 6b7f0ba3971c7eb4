import path from 'node:path';
import ts from 'typescript';

/** Whether the types refuse a mutant of one of `files`, as they do in `npm test`: asked of its file and of those that import it. */
export function typesOf(files, importers) {
  const { config } = ts.readConfigFile('tsconfig.json', ts.sys.readFile);
  const { options } = ts.convertCompilerOptionsFromJson(config.compilerOptions, process.cwd());
  const asking = (file) => (importers.get(file) ?? []).filter((f) => f.startsWith('src/') && !f.endsWith('.test.ts'));
  const roots = [...new Set([...files, ...files.flatMap(asking)])].map((f) => path.resolve(f));
  let changed = { file: '', text: '', at: 0 };
  const service = ts.createLanguageService({
    getCompilationSettings: () => ({ ...options, incremental: false, plugins: [] }),
    getScriptFileNames: () => roots,
    getScriptVersion: (file) => (file === changed.file ? String(changed.at) : '0'),
    getScriptSnapshot: (file) => {
      const text = file === changed.file ? changed.text : ts.sys.readFile(file);
      return text === undefined ? undefined : ts.ScriptSnapshot.fromString(text);
    },
    getCurrentDirectory: () => process.cwd(),
    getDefaultLibFileName: ts.getDefaultLibFilePath,
    fileExists: ts.sys.fileExists,
    readFile: ts.sys.readFile,
    readDirectory: ts.sys.readDirectory,
    directoryExists: ts.sys.directoryExists,
    getDirectories: ts.sys.getDirectories,
  });
  return ({ file, location: { start, end }, replacement }) => {
    const name = path.resolve(file);
    const text = ts.sys.readFile(name);
    const lines = ts.createSourceFile(name, text, ts.ScriptTarget.Latest).getLineStarts();
    const place = ({ line, column }) => lines[line] + column;
    changed = {
      file: name,
      text: text.slice(0, place(start)) + replacement + text.slice(place(end)),
      at: changed.at + 1,
    };
    return [file, ...asking(file)].some((f) => service.getSemanticDiagnostics(path.resolve(f)).length > 0);
  };
}
