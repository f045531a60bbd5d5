/** The part of the package that is used: a drawing context that writes SVG. It ships without types. */
declare module 'svgcanvas' {
  export class Context {
    constructor(options: { width: number; height: number });
    getSerializedSvg(fixNamedEntities?: boolean): string;
  }
}
