/** The part of a browser's own style sheet that layout depends on (HTML, section 15.3). */
export const USER_AGENT_CSS = `
html, body, address, blockquote, center, dialog, div, dl, dt, dd, fieldset, figure, figcaption, footer,
form, h1, h2, h3, h4, h5, h6, header, hgroup, hr, legend, main, nav, ol, p, pre, search, section, article,
aside, ul, menu, details, summary, li { display: block }
area, base, basefont, datalist, head, link, meta, noembed, noframes, param, rp, script, style, template,
title, [hidden] { display: none }
body { margin: 8px }
p, dl, ol, ul, menu, pre { margin-top: 1em; margin-bottom: 1em }
blockquote, figure { margin: 1em 40px }
h1 { font-size: 2em; margin: .67em 0; font-weight: bold }
h2 { font-size: 1.5em; margin: .83em 0; font-weight: bold }
h3 { font-size: 1.17em; margin: 1em 0; font-weight: bold }
h4 { margin: 1.33em 0; font-weight: bold }
h5 { font-size: .83em; margin: 1.67em 0; font-weight: bold }
h6 { font-size: .67em; margin: 2.33em 0; font-weight: bold }
ol, ul, menu { padding-inline-start: 40px }
dd { margin-inline-start: 40px }
b, strong, th { font-weight: bold }
i, em, cite, var, dfn, address { font-style: italic }
code, kbd, samp, pre, tt { font-family: monospace; font-size: .8125em }
pre { white-space: pre }
small { font-size: .8333em }
hr { border: 1px inset; margin: .5em auto }
button { display: inline-block; padding: 1px 6px; border: 2px outset; box-sizing: border-box; font-size: 13.3333px }
`;
