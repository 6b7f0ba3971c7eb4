/** What is said of boards that are bought together. */
export type SetSays =
  | { code: 'ESCs soldered one by one'; esc: string }
  | { code: 'no plug board to board'; lacks: string }
  | { code: 'no plug for the harness'; lacks: string }
  | { code: 'lines clash board to board'; missing: string[]; meet: { board: string; esc: string } | null }
  | { code: 'harness lacks lines'; missing: string[] }
  | { code: 'two sources joined'; controller: string; esc: string }
  | { code: 'pull the 5 V pin'; controller: string; from: string }
  | { code: 'pack line left out'; controller: string }
  | { code: 'sensor by a wire'; of: string }
  | { code: 'sensor twice'; read: string; idle: string[] }
  | { code: 'sensor not read'; esc: string; controller: string }
  | { code: 'no input for the sensor'; of: string; controller: string };
