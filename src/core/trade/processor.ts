export const processorFamilies = ['F1', 'F3', 'F4', 'F7', 'H7', 'G4'] as const;
export type ProcessorFamily = (typeof processorFamilies)[number];

export interface Processor {
  family: ProcessorFamily;
  /** Bits RXINV/TXINV in USART_CR2: the port itself can turn the signal round. */
  invertsInside: boolean;
  /** Serial ports (USART + UART) of the usual parts of the family in the trade, and of its largest, low-power ones counted. */
  usualPorts: number;
  mostPorts: number;
  source: string;
}

/** Values recalled from memory; the reference manuals and data sheets named hold them. */
export const processors: Readonly<Record<ProcessorFamily, Processor>> = {
  F1: {
    family: 'F1',
    invertsInside: false,
    usualPorts: 5,
    mostPorts: 5,
    source: 'RM0008: no RXINV/TXINV in USART_CR2',
  },
  F3: { family: 'F3', invertsInside: true, usualPorts: 5, mostPorts: 5, source: 'RM0316: RXINV/TXINV in USART_CR2' },
  F4: {
    family: 'F4',
    invertsInside: false,
    usualPorts: 6,
    mostPorts: 10,
    source: 'RM0090, RM0383: no RXINV/TXINV in USART_CR2',
  },
  F7: {
    family: 'F7',
    invertsInside: true,
    usualPorts: 8,
    mostPorts: 8,
    source: 'RM0385, RM0431: RXINV/TXINV in USART_CR2',
  },
  H7: { family: 'H7', invertsInside: true, usualPorts: 8, mostPorts: 11, source: 'RM0433: RXINV/TXINV in USART_CR2' },
  G4: { family: 'G4', invertsInside: true, usualPorts: 5, mostPorts: 6, source: 'RM0440: RXINV/TXINV in USART_CR2' },
};
