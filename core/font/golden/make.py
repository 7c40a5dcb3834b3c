"""Makes readings.json and tarnholm-test.otf with fontTools, an implementation independent of Lettera's.

Run from the root, with Debian's python3-fonttools and python3-brotli: python3 core/font/golden/make.py
"""

import json
from pathlib import Path

from fontTools import version
from fontTools.fontBuilder import FontBuilder
from fontTools.pens.boundsPen import BoundsPen
from fontTools.pens.t2CharStringPen import T2CharStringPen
from fontTools.ttLib import TTFont

HERE = Path(__file__).parent
MODULES = Path("node_modules")
FILES = [
    "@fontsource-variable/literata/files/literata-latin-wght-normal.woff2",
    "@fontsource-variable/literata/files/literata-latin-wght-italic.woff2",
    "@fontsource-variable/literata/files/literata-greek-wght-normal.woff2",
    "@fontsource-variable/bricolage-grotesque/files/bricolage-grotesque-latin-wght-normal.woff2",
    "@fontsource-variable/archivo/files/archivo-latin-standard-normal.woff2",
    "@fontsource-variable/fraunces/files/fraunces-latin-full-italic.woff2",
    "@fontsource-variable/jetbrains-mono/files/jetbrains-mono-latin-wght-normal.woff2",
    "@fontsource-variable/eb-garamond/files/eb-garamond-latin-wght-normal.woff2",
    "@fontsource/spectral/files/spectral-latin-400-normal.woff2",
    "@fontsource/spectral/files/spectral-latin-700-italic.woff",
    "@fontsource/zilla-slab/files/zilla-slab-latin-600-normal.woff",
    "@fontsource/barlow-condensed/files/barlow-condensed-latin-500-normal.woff2",
    "@fontsource/bungee/files/bungee-latin-400-normal.woff2",
    "@fontsource/cardo/files/cardo-greek-400-normal.woff2",
    "@fontsource/space-mono/files/space-mono-latin-700-normal.woff",
    "@fontsource/gelasio/files/gelasio-latin-400-normal.woff2",
]

# Points of variable faces, and the letters whose tops are read there.
POINTS = [
    (FILES[0], {"wght": 900}),
    (FILES[3], {"wght": 300}),
    (FILES[4], {"wght": 700, "wdth": 75}),
    (FILES[5], {"wght": 650, "opsz": 9, "SOFT": 80, "WONK": 1}),
]


def make_otf(path):
    """A face of our own with CFF outlines: a few letters drawn as boxes."""
    boxes = {".notdef": (500, 700), "space": (260, 0), "H": (640, 700), "x": (520, 480), "p": (540, 480)}
    builder = FontBuilder(1000, isTTF=False)
    builder.setupGlyphOrder(list(boxes))
    builder.setupCharacterMap({0x20: "space", 0x48: "H", 0x78: "x", 0x70: "p"})
    charstrings = {}
    for name, (width, height) in boxes.items():
        pen = T2CharStringPen(width, None)
        if height:
            pen.moveTo((50, 0))
            pen.lineTo((width - 50, 0))
            pen.lineTo((width - 50, height))
            pen.lineTo((50, height))
            pen.closePath()
        charstrings[name] = pen.getCharString()
    builder.setupCFF("TarnholmTest-Regular", {"FullName": "Tarnholm Test"}, charstrings, {})
    builder.setupHorizontalMetrics({name: (width, 50) for name, (width, _) in boxes.items()})
    builder.setupHorizontalHeader(ascent=800, descent=-200)
    builder.setupNameTable(
        {"familyName": 'Tarnholm "Test" <b>; }', "styleName": "Regular", "fullName": "Tarnholm Test Regular", "psName": "TarnholmTest-Regular"}
    )
    builder.setupOS2(sTypoAscender=760, sTypoDescender=-240, usWinAscent=900, usWinDescent=250, sxHeight=300, sCapHeight=700)
    builder.setupPost()
    builder.font["head"].created = builder.font["head"].modified = 3800000000
    builder.font.recalcTimestamp = False
    builder.save(path)


def reading(path):
    font = TTFont(path)
    os2, hhea = font["OS/2"], font["hhea"]
    name = font["name"]
    best = lambda *ids: next((str(name.getDebugName(i)) for i in ids if name.getDebugName(i)), None)
    use_typo = bool(os2.fsSelection & (1 << 7))
    typo = {"ascent": os2.sTypoAscender, "descent": os2.sTypoDescender, "lineGap": os2.sTypoLineGap}
    hhea_metrics = {"ascent": hhea.ascent, "descent": hhea.descent, "lineGap": hhea.lineGap}
    chosen = typo if use_typo else hhea_metrics
    glyphs, cmap = font.getGlyphSet(), font.getBestCmap()

    def top(letter):
        if ord(letter) not in cmap:
            return None
        pen = BoundsPen(glyphs)
        glyphs[cmap[ord(letter)]].draw(pen)
        return pen.bounds[3] if pen.bounds else None

    def height(table, letter):
        outline = top(letter)
        if table and (outline is None or abs(table - outline) <= 0.02 * font["head"].unitsPerEm):
            return table, "table"
        return (outline or 0), "outline"

    x_height, x_source = height(getattr(os2, "sxHeight", 0), "x")
    cap_height, cap_source = height(getattr(os2, "sCapHeight", 0), "H")
    return {
        "family": best(16, 1),
        "subfamily": best(17, 2),
        "fullName": best(4),
        "postScriptName": best(6),
        "format": font.flavor or ("otf" if "CFF " in font else "ttf"),
        "bytes": path.stat().st_size,
        "unitsPerEm": font["head"].unitsPerEm,
        **chosen,
        "hhea": hhea_metrics,
        "typo": typo,
        "win": {"ascent": os2.usWinAscent, "descent": os2.usWinDescent, "lineGap": 0},
        "useTypoMetrics": use_typo,
        "xHeight": x_height,
        "xHeightSource": x_source,
        "capHeight": cap_height,
        "capHeightSource": cap_source,
        "italicAngle": font["post"].italicAngle,
        "weight": os2.usWeightClass,
        "style": "italic" if os2.fsSelection & 1 else "normal",
        "axes": [
            {"tag": a.axisTag, "min": a.minValue, "default": a.defaultValue, "max": a.maxValue}
            for a in (font["fvar"].axes if "fvar" in font else [])
        ],
        "codePoints": len(cmap),
        "glyphs": font["maxp"].numGlyphs,
        "fsType": os2.fsType,
    }


def tops(file, location):
    font = TTFont(MODULES / file)
    glyphs, cmap = font.getGlyphSet(location=location), font.getBestCmap()
    found = {}
    for letter in "xH":
        pen = BoundsPen(glyphs)
        glyphs[cmap[ord(letter)]].draw(pen)
        found[letter] = pen.bounds[3]
    return {"file": file, "location": location, "tops": found}


otf = HERE / "tarnholm-test.otf"
make_otf(otf)
readings = {file: reading(MODULES / file) for file in FILES}
readings["core/font/golden/tarnholm-test.otf"] = reading(otf)
(HERE / "readings.json").write_text(
    json.dumps({
            "madeWith": f"fontTools {version}",
            "readings": readings,
            "points": [tops(file, location) for file, location in POINTS],
        }, indent=2, ensure_ascii=False) + "\n"
)
