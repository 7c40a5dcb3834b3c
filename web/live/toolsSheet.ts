/** The look of the tools: it reaches nothing of the page, and nothing of the page reaches it. */
export const TOOLS_SHEET = `
:host { all: initial; }
* { box-sizing: border-box; }
.layer > div { position: fixed; z-index: 2147483645; pointer-events: none; }
.selected { outline: 1.5px solid #0e6656; }
.pointed { outline: 1.5px dashed #0e6656; }
.face { outline: 1.5px dashed #8a5a00; }
.layer span { position: absolute; left: -1px; bottom: 100%; max-width: 60ch; padding: 1px 6px; overflow: hidden;
  font: 12px/1.5 system-ui, sans-serif; letter-spacing: 0; white-space: nowrap; text-overflow: ellipsis; color: #fff; background: #0e6656; }
.layer span.below { bottom: auto; top: 100%; }
.face span { background: #8a5a00; }
.mark span { left: auto; right: 8px; bottom: auto; top: 0; max-width: 34ch; white-space: normal; color: #b4232a;
  background: #fcfdfc; border: 1px solid #b4232a; }
.bar { position: fixed; left: 12px; bottom: 12px; z-index: 2147483646; font: 13px/1.45 system-ui, sans-serif; color: #131a18; }
button { all: unset; box-sizing: border-box; cursor: pointer; font: inherit; }
button:focus-visible { outline: 2px solid #0e6656; outline-offset: 1px; }
.open { padding: 3px 10px; background: #fcfdfc; border: 1px solid #69746e; border-radius: 3px; }
.panel { width: 320px; margin-bottom: 6px; padding: 10px 14px; background: #fcfdfc; border: 1px solid #69746e; border-radius: 3px; }
.panel[hidden] { display: none; }
.panel p { margin: 0 0 8px; }
.panel ul { margin: 0; padding: 0; list-style: none; }
.panel li button { display: block; width: 100%; padding: 4px 0; border-top: 1px solid #d8ddda; }
.panel li button:hover { color: #0e6656; }
.said:empty { display: none; }
.said p { margin-bottom: 4px; }
.said button { margin-right: 12px; text-decoration: underline; }
.hint { color: #4c5854; }
`;
