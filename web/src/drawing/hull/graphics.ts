/** What the browser draws in the round with; asked once, and again only while the answer is that it cannot. */
export type Graphics = 'none' | 'software' | 'processor';

let known: Graphics = 'none';

export function graphics(): Graphics {
  if (known === 'none') known = ask();
  return known;
}

function ask(): Graphics {
  const gl = document.createElement('canvas').getContext('webgl2');
  if (!gl) return 'none';
  const told = gl.getExtension('WEBGL_debug_renderer_info');
  const name: unknown = told && gl.getParameter(told.UNMASKED_RENDERER_WEBGL);
  gl.getExtension('WEBGL_lose_context')?.loseContext();
  return /swiftshader|llvmpipe|software|basic render/i.test(String(name)) ? 'software' : 'processor';
}
