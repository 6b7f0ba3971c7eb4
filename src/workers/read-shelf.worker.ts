import { readShelfFile } from '../core';

/** A file of 50 MB takes seconds to read; the page stays free meanwhile. */
onmessage = ({ data: text }: MessageEvent<string>) => postMessage(readShelfFile(text));
