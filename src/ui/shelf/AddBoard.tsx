import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { boardKinds, idFrom, newBoard, type Board } from '@/core';
import { PickFiles } from '../frame/PickFiles';
import { SelectIn, TextIn } from '../form/in-form';
import { useOnce } from '../form/use-once';
import { handOver } from '../intake/handed-over';
import { pageFiles } from '../intake/page-files';
import { useRoom } from '../room/store';
import { useShelf } from '../room/use-shelf';

/** A new board by its name, or out of its page. */
export function AddBoard() {
  const { build } = useRoom('build');
  const { shelf, putBoard } = useShelf();
  const router = useRouter();
  const { control, handleSubmit, getValues } = useForm({
    defaultValues: { name: '', maker: '', kind: 'flight controller' as Board['kind'] },
  });
  const [fault, setFault] = useState<string | null>(null);
  const [over, setOver] = useState(false);
  /** `files`: pages that the editor is to read at once. A name that is not typed is that of the file, until the page says another. */
  const add = async (files: File[] = []) => {
    const { name, maker, kind } = getValues();
    const called =
      name.trim() ||
      (files[0]?.name ?? '')
        .replace(/\.[a-z0-9]{2,5}$/i, '')
        .slice(0, 80)
        .trim();
    const by = maker.trim() || 'maker not said';
    if (!called) return;
    const base = idFrom(`${by} ${called}`, 'board');
    const taken = new Set(shelf?.boards.map((b) => b.id));
    let id = base;
    for (let n = 2; taken.has(id); n++) id = `${base}-${n}`;
    const said = await putBoard(newBoard(id, called, by, kind));
    setFault(said);
    if (said) return;
    if (files.length > 0) handOver(id, files);
    router.push(`/b/${build.id}/shelf/${id}`);
  };
  const send = useOnce(handleSubmit(() => add()));
  return (
    <Box
      component="form"
      sx={{
        display: 'flex',
        gap: 1,
        alignItems: 'flex-start',
        outline: over ? '2px dashed var(--copper)' : 'none',
        outlineOffset: 4,
      }}
      noValidate
      onSubmit={send}
      onDragOver={(e) => (e.preventDefault(), setOver(true))}
      onDragLeave={() => setOver(false)}
      onDrop={(e) => (e.preventDefault(), setOver(false), void add([...e.dataTransfer.files]))}
      onPaste={(e) => e.clipboardData.files.length > 0 && (e.preventDefault(), void add([...e.clipboardData.files]))}
    >
      <TextIn
        bare
        control={control}
        name="name"
        label="Name of a new board"
        placeholder="New board"
        wanted="Its name is wanted"
        sx={{ width: 110 }}
      />
      <TextIn
        bare
        control={control}
        name="maker"
        label="Maker of a new board"
        placeholder="its maker"
        wanted="Its maker is wanted"
        sx={{ width: 90 }}
      />
      <SelectIn control={control} name="kind" label="Kind of a new board" words={boardKinds} sx={{ width: 130 }} />
      <Button type="submit" variant="contained">
        Add
      </Button>
      <PickFiles
        words="From its page"
        label="Page of a new board"
        accept={pageFiles}
        title="A PDF, a saved page, a photo, a screenshot or a table; it can be dropped here as well"
        onPick={(files) => void add(files)}
      />
      {fault && <Box role="alert">{fault}</Box>}
    </Box>
  );
}
