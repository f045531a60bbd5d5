/**
 * A name as it is compared: case and the spaces around it do not count.
 * @example plainName(' Larkholm Pan 200') // 'larkholm pan 200'
 */
export function plainName(name: string): string {
  return name.trim().toLowerCase();
}
