/** The package's own entry is in a form that Node does not read as a module; this one is. */
declare module 'maxrects-packer/dist/maxrects-packer.mjs' {
  export { MaxRectsPacker } from 'maxrects-packer';
}
