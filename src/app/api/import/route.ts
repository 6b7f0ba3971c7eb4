import { NextResponse } from 'next/server';
import { database } from '@/db/connection';
import { answer, bodyText, say } from '@/server/answer';
import { importFile } from '@/server/import-file';

const limitMb = 50;

export function POST(request: Request) {
  return answer(async () => {
    const text = await bodyText(request, limitMb);
    if (text === null) return say(413, `The file is larger than ${limitMb} MB. Split it, or use the command line. Nothing was changed.`);
    const result = await importFile(database(), text);
    if (!result.ok) return say(422, 'Nothing was imported. The file needs mending first:', { faults: result.faults });
    return NextResponse.json(result);
  });
}
