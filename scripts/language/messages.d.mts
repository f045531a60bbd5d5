/** A text of the interface in a source file. */
export interface Message {
  text: string;
  kind: 'literal' | 'attribute' | 'template' | 'children';
  start: number;
  end: number;
  places: { start: number; end: number }[];
}

export function messagesIn(path: string, code: string): Message[];
