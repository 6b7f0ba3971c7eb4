/** What would help where a finding does not hold. */
export type Advice =
  | { code: 'adapter plate' }
  | { code: 'separate ESCs' }
  | { code: 'name your ESC' }
  | { code: 'ESCs on the board'; orControllerAlone: boolean }
  | { code: 'external current sensor' }
  | { code: 'plug on wires' }
  | { code: 'one source of 5 V' }
  | { code: 'a source of 5 V' }
  | { code: 'say what your ESC gives' }
  | { code: 'go without USB' }
  | { code: 'dead rail on USB' }
  | { code: 'external regulator'; several: boolean }
  | { code: 'leave out'; parts: string[] }
  | { code: 'another board'; portsTaken: boolean }
  | { code: 'make it a should' }
  | { code: 'list what is missing' }
  | { code: 'ask which firmware' }
  | { code: 'shorter search' };
