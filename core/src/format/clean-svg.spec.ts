import { cleanSvg, outlinesFromSvg } from './index.js';

describe('an SVG file with nothing in it but its shapes', () => {
  it('keeps geometry, names and transforms, and drops everything else', () => {
    const dirty =
      '<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="50mm" viewBox="0 0 50 50" onload="x()">' +
      '<title>t</title><g transform="translate(5 5)" class="c"><a xlink:href="javascript:x()"><path id="a&quot;&lt;b" d="M0 0h10v10z" style="fill:red"/></a></g>' +
      '<foreignObject><iframe src="x"/></foreignObject><use xlink:href="#a"/><script>x()</script></svg>';
    expect(cleanSvg(dirty)).toBe(
      '<svg xmlns="http://www.w3.org/2000/svg" width="50mm" viewBox="0 0 50 50">' +
        '<g transform="translate(5 5)"><g><path id="a&quot;&lt;b" d="M0 0h10v10z"/></g></g></svg>',
    );
  });

  it('reads to the same outlines, and cleaned once more it stays as it is', () => {
    const text =
      '<svg width="80mm" height="60mm" viewBox="-5 -5 80 60"><rect x="1" y="2" width="30" height="20" rx="4"/><ellipse cx="40" cy="20" rx="9" ry="5" transform="rotate(20)"/>' +
      '<polygon points="0,0 9,1 4,8"/><circle cx="9" cy="9" r="3"/></svg>';
    const clean = cleanSvg(text);
    expect(outlinesFromSvg(clean)).toEqual(outlinesFromSvg(text));
    expect(cleanSvg(clean)).toBe(clean);
  });

  it('refuses what is no XML, what declares entities, and what is no SVG', () => {
    expect(() => cleanSvg('<svg><path')).toThrowError(SyntaxError);
    expect(() => cleanSvg('<!DOCTYPE svg [<!ENTITY x SYSTEM "file:///etc/passwd">]><svg id="&x;"/>')).toThrowError(SyntaxError);
    expect(() => cleanSvg('<html/>')).toThrowError(RangeError);
  });
});
