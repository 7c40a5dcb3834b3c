"""Makes readings.json and the test faces with fontTools, an implementation independent of Lettera's.

Run from the root, with Debian's python3-fonttools and python3-brotli: python3 core/font/golden/make.py
"""

import json
from pathlib import Path

from fontTools import version
from fontTools.feaLib.builder import addOpenTypeFeaturesFromString
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
    *(
        f"@fontsource/{name}/files/{name}-latin-400-normal.woff2"
        for name in [
            "abril-fatface", "alegreya-sans", "anton", "dm-serif-display", "gloock", "instrument-serif",
            "kalam", "krona-one", "libre-baskerville", "libre-caslon-text", "share-tech-mono",
            "sorts-mill-goudy", "yeseva-one",
        ]
    ),
    *(
        f"@fontsource-variable/{name}/files/{name}-latin-wght-normal.woff2"
        for name in [
            "alegreya", "bodoni-moda", "caveat", "commissioner", "cormorant", "dancing-script", "inconsolata",
            "lexend", "martian-mono", "newsreader", "rubik", "source-serif-4", "syne", "unbounded", "vollkorn",
        ]
    ),
    *(
        f"@fontsource-variable/{name}/files/{name}-latin-wght-italic.woff2"
        for name in ["archivo", "lora", "public-sans"]
    ),
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


CFF_NAMES = {"zilla-slab": ("Tarnholm Test Slab", 600), "gloock": ("Tarnholm Test Hairline", 400)}


def make_cff(source, path):
    """The ASCII part of an open-licensed TrueType face with its outlines redrawn as CFF, under another name."""
    package = source.split("/")[1]
    name, weight = CFF_NAMES[package]
    font = TTFont(MODULES / source)
    cmap = {code: glyph for code, glyph in font.getBestCmap().items() if 0x20 <= code < 0x7F}
    order = [".notdef", *dict.fromkeys(cmap.values())]
    glyphs, metrics = font.getGlyphSet(), font["hmtx"]
    charstrings = {}
    for glyph in order:
        pen = T2CharStringPen(metrics[glyph][0], glyphs)
        glyphs[glyph].draw(pen)
        charstrings[glyph] = pen.getCharString()
    os2, hhea = font["OS/2"], font["hhea"]
    builder = FontBuilder(font["head"].unitsPerEm, isTTF=False)
    builder.setupGlyphOrder(order)
    builder.setupCharacterMap(cmap)
    ps_name = name.replace(" ", "") + "-Regular"
    builder.setupCFF(ps_name, {"FullName": name}, charstrings, {})
    builder.setupHorizontalMetrics({glyph: metrics[glyph] for glyph in order})
    builder.setupHorizontalHeader(ascent=hhea.ascent, descent=hhea.descent, lineGap=hhea.lineGap)
    builder.setupNameTable(
        {"familyName": name, "styleName": "Regular", "fullName": name, "psName": ps_name,
         "licenseDescription": "SIL Open Font License 1.1, see OFL.txt"}
    )
    builder.setupOS2(
        sTypoAscender=os2.sTypoAscender, sTypoDescender=os2.sTypoDescender, sTypoLineGap=os2.sTypoLineGap,
        usWinAscent=os2.usWinAscent, usWinDescent=os2.usWinDescent, usWeightClass=weight,
        sxHeight=os2.sxHeight, sCapHeight=os2.sCapHeight, fsType=0,
    )
    builder.setupPost()
    builder.font["head"].created = builder.font["head"].modified = 3800000000
    builder.font.recalcTimestamp = False
    builder.save(path)


def with_small_caps(source, path):
    """The test face with the features that its own outlines answer: small capitals and old-style figures."""
    font = TTFont(source)
    addOpenTypeFeaturesFromString(font, "feature smcp { sub x by H; } smcp;")
    font.recalcTimestamp = False
    font.save(path)


def measures(file, location):
    """Heights and advances of letters at a point, from the glyphs' bounds and widths."""
    font = TTFont(MODULES / file if file.startswith("@") else file)
    em = font["head"].unitsPerEm
    glyphs, cmap = font.getGlyphSet(location=location or None), font.getBestCmap()

    def bounds(letter):
        pen = BoundsPen(glyphs)
        glyphs[cmap[ord(letter)]].draw(pen)
        return pen.bounds

    return {
        "file": file,
        "location": location,
        "xHeight": bounds("x")[3] / em,
        "capHeight": bounds("H")[3] / em,
        "ascender": bounds("l")[3] / em,
        "descender": bounds("p")[1] / em,
        "advances": {letter: glyphs[cmap[ord(letter)]].width / em for letter in "aemn "},
    }


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
with_small_caps(otf, HERE / "tarnholm-small-caps.otf")
cff = {
    "@fontsource/zilla-slab/files/zilla-slab-latin-600-normal.woff2": HERE / "tarnholm-slab.otf",
    "@fontsource/gloock/files/gloock-latin-400-normal.woff2": HERE / "tarnholm-hairline.otf",
}
for source, path in cff.items():
    make_cff(source, path)
readings = {file: reading(MODULES / file) for file in FILES}
for path in [otf, *cff.values()]:
    readings[f"core/font/golden/{path.name}"] = reading(path)


def measured_at(file):
    """Variable faces are measured at the regular, where they have one."""
    axes = TTFont(MODULES / file)["fvar"].axes if "fvar" in TTFont(MODULES / file) else []
    return {a.axisTag: min(max(400, a.minValue), a.maxValue) for a in axes if a.axisTag == "wght"}


latin = [file for file in FILES if "-latin-" in file and "bungee" not in file]
(HERE / "readings.json").write_text(
    json.dumps({
            "madeWith": f"fontTools {version}",
            "readings": readings,
            "points": [tops(file, location) for file, location in POINTS],
            "measures": [
                *(measures(file, measured_at(file)) for file in latin),
                *(measures(f"core/font/golden/{path.name}", {}) for path in cff.values()),
            ],
        }, indent=2, ensure_ascii=False) + "\n"
)
