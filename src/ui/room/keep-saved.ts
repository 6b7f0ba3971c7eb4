import same from 'fast-deep-equal';
import { buildChanges, mergeBuilds, type Build } from '@/core';
import { askServer, mayGoLater } from './ask-server';
import { draftsOf, dropDraft, isOwnDraft, keepDraft } from './draft';
import type { RoomStore, SaveState, Stored } from './room';

const pauseMs = 450;
const retryMs = 4000;

/**
 * Saves the build a moment after the last change, one save at a time; what cannot be saved stays in the browser and is tried again. A newer version on the
 * server is taken in; where both changed the same thing the saving waits until the buyer has chosen. Until the returned function ends it.
 */
export function keepSaved(store: RoomStore, stored: Stored): () => void {
  let { version, build: clean, savedAt } = stored;
  let touched = false;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let held: 'no' | 'on its way' | 'conflict' | 'removed' = 'no';
  const say = (save: SaveState) => store.setState({ save });
  const saySaved = (at: string) => {
    savedAt = at;
    say({ kind: 'saved', at });
  };
  const again = (ms: number) => {
    clearTimeout(timer);
    timer = setTimeout(() => void save(), ms);
  };

  async function save() {
    const wanted = store.getState().build;
    if (held !== 'no' || wanted === clean) return;
    held = 'on its way';
    say({ kind: 'saving' });
    const { ok, status, said } = await askServer<{
      version: number;
      savedAt: string;
      current: Stored;
      faults: { field: string; sentence: string }[];
    }>(
      `/api/builds/${wanted.id}`,
      {
        method: 'PUT',
        headers: { 'content-type': 'application/json', 'if-match': String(version) },
        body: JSON.stringify(wanted),
      },
      'The server does not answer. The change is kept in this browser and is saved as soon as it is back.',
    );
    held = 'no';
    if (ok && said.version) {
      version = said.version;
      clean = wanted;
      if (store.getState().build !== wanted) return again(0);
      dropDraft(wanted.id);
      saySaved(said.savedAt ?? '');
    } else if (status === 409 && said.current) {
      takeIn(said.current);
    } else if (status === 404) {
      held = 'removed';
      say({ kind: 'removed', why: said.sentence });
    } else if (mayGoLater(status)) {
      say({ kind: 'kept here', why: said.sentence });
      again(retryMs);
    } else {
      const fault = said.faults?.[0];
      say({ kind: 'refused', why: fault ? `${fault.field}: ${fault.sentence}` : said.sentence });
    }
  }

  /** The build comes again as it is here, on a version that goes on counting. */
  async function putBack() {
    const wanted = store.getState().build;
    const silent = 'The server does not answer. The build is kept in this browser.';
    const { ok, said } = await askServer(
      '/api/import?over=ask',
      { method: 'POST', body: JSON.stringify(wanted) },
      silent,
    );
    if (!ok) return say({ kind: 'removed', why: said.sentence });
    const { said: there } = await askServer<Stored>(`/api/builds/${wanted.id}`, {}, silent);
    if (!there.version) return say({ kind: 'removed', why: there.sentence });
    version = there.version;
    clean = wanted;
    held = 'no';
    if (store.getState().build !== wanted) return again(0);
    dropDraft(wanted.id);
    saySaved(there.savedAt ?? '');
  }

  const changed = (build: Build) => {
    clearTimeout(timer);
    if (build === clean && held === 'no') {
      // Undone back to what is saved: nothing is left to keep. A draft of an earlier visit is not touched.
      if (touched) dropDraft(build.id);
      say({ kind: 'saved', at: savedAt });
    } else {
      touched = true;
      keepDraft({ build, base: clean, baseVersion: version });
      // Not a moment is it called saved that is not.
      if (store.getState().save.kind === 'saved') say({ kind: 'saving' });
      again(pauseMs);
    }
  };
  const unsubscribe = store.subscribe(({ build }, { build: before }) => {
    if (build !== before) changed(build);
  });

  /** What another tab or person saved, put together with what stands here. */
  function takeIn(theirs: Stored): void {
    const { clashes, together } = mergeBuilds(clean, store.getState().build, theirs.build);
    if (clashes.length === 0) return goOnFrom(theirs, (base, mine) => mergeBuilds(base, mine, theirs.build).build);
    held = 'conflict';
    say({ kind: 'conflict', theirs, clashes, together });
  }

  /** Goes on from the newer version, with what `put` makes of each state here and of what that was made from. */
  function goOnFrom(theirs: Stored, put: (base: Build, mine: Build) => Build): void {
    const base = clean;
    ({ version, build: clean } = theirs);
    held = 'no';
    touched = true;
    store.setState({ takenIn: buildChanges(base, clean) });
    store.getState().rebase((mine) => {
      const both = put(base, mine);
      return same(both, clean) ? clean : both;
    });
    if (store.getState().build === clean) saySaved(theirs.savedAt);
    else again(0);
  }

  /** Both changed the same thing, and the buyer has chosen whose stands. */
  const chosen = (put: (base: Build, mine: Build, theirs: Build) => Build) => () => {
    const { save: now } = store.getState();
    if (now.kind === 'conflict') goOnFrom(now.theirs, (base, mine) => put(base, mine, now.theirs.build));
  };
  store.setState({
    putBack: () => void putBack(),
    keepMine: chosen((base, mine, theirs) => mergeBuilds(base, mine, theirs).build),
    takeTheirs: chosen((base, mine, theirs) => mergeBuilds(base, theirs, mine).build),
  });

  /** Whoever comes back to this tab sees what was done elsewhere meanwhile. */
  async function lookAgain() {
    if (document.visibilityState !== 'visible' || held !== 'no' || store.getState().build !== clean) return;
    const { said: there } = await askServer<Stored>(`/api/builds/${clean.id}`, {}, '');
    if (held === 'no' && there.version && there.version > version && there.build) takeIn(there as Stored);
  }
  const comeBack = () => void lookAgain();
  document.addEventListener('visibilitychange', comeBack);
  window.addEventListener('focus', comeBack);

  const unsaved = draftsOf(stored.build.id).filter((d) => {
    const saved = same(d.build, stored.build);
    if (saved) dropDraft(stored.build.id, d.key);
    return !saved;
  });
  // This tab's own goes on, or else the newest that nobody has saved over, under this tab's name; the others are offered in the history.
  const draft = unsaved.find(isOwnDraft) ?? unsaved.find((d) => d.baseVersion === stored.version);
  const base = draft?.base ?? (draft?.baseVersion === stored.version ? stored.build : null);
  if (draft && base) {
    // It builds on an older version: what somebody saved since is taken in.
    [version, clean] = [draft.baseVersion, base];
    dropDraft(stored.build.id, draft.key);
    store.getState().edit('draft', () => draft.build);
  }
  return () => {
    clearTimeout(timer);
    unsubscribe();
    document.removeEventListener('visibilitychange', comeBack);
    window.removeEventListener('focus', comeBack);
  };
}
