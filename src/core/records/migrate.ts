import { newestVersion } from './words';

type Raw = Record<string, unknown>;

/**
 * The data of a file of an older version as the newest has it, unchanged in meaning. What is not of the shape of its version is left as it is: the schema names it.
 * Data of the newest version comes back as it went in.
 */
export function migrated(data: Raw): Raw {
  if (data.version !== 1) return data;
  const step = fromFirst[String(data.format)];
  return step ? { ...step(data), version: newestVersion } : data;
}

/** Version 1 knew one square pattern a board, one supply a part, and no wish for a compass. */
const fromFirst: Record<string, (data: Raw) => Raw> = {
  'rung-shelf': (shelf) => shelf,
  'rung-board': (board) => changed(board, 'mounting', boardMounting),
  'rung-peripheral': (part) => changed(part, 'modes', eachOf(modeSupplies)),
  'rung-build': (build) => {
    const framed = changed(build, 'frame', (frame) => changed(frame, 'mounts', eachOf(frameMount)));
    const parts = changed(
      framed,
      'parts',
      eachOf((part) => changed(part, 'peripheral', migrated)),
    );
    const wished = changed(parts, 'comforts', (wishes) =>
      changed(wishes, 'weights', (w: Raw) => ({ compass: 1, ...w })),
    );
    return changed(
      wished,
      'picks',
      eachOf((pick) => changed(pick, 'board', migrated)),
    );
  },
};

function boardMounting(mounting: Raw): Raw {
  if (!('patternMm' in mounting)) return mounting;
  const { patternMm, screw, ...rest } = mounting;
  return { ...rest, patterns: [{ alongMm: patternMm, screw }] };
}

function frameMount(mount: Raw): Raw {
  if (!('patternMm' in mount)) return mount;
  const { patternMm, ...rest } = mount;
  return { ...rest, alongMm: patternMm };
}

function modeSupplies(mode: Raw): Raw {
  if (!('supply' in mode)) return mode;
  const { supply, ...rest } = mode;
  return { ...rest, supplies: supply === null ? [] : [supply] };
}

function isRaw(value: unknown): value is Raw {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** The object with one field changed, where it holds what the change is about. */
function changed<T>(holder: Raw, key: string, change: (value: never) => T): Raw {
  const value = holder[key];
  const about = Array.isArray(value) || isRaw(value);
  return about ? { ...holder, [key]: change(value as never) } : holder;
}

function eachOf(change: (value: Raw) => Raw) {
  return (list: unknown): unknown =>
    Array.isArray(list) ? list.map((value: unknown) => (isRaw(value) ? change(value) : value)) : list;
}
