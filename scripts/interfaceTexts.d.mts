/** Every text of the interface, file by file. */
export function interfaceTexts(): { file: string; texts: string[] }[];
