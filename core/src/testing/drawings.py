"""Reference drawings for specs, written and read by an independent library.

write VERSION      a DXF file with one closed outline of every kind, on standard output
audit              reads a DXF file from standard input; prints its unit, the auditor's errors and each layer's length as JSON
"""
import json
import sys
import tempfile

import ezdxf
from ezdxf import path, units


def write(version: str) -> None:
    doc = ezdxf.new(version)
    doc.units = units.MM
    msp = doc.modelspace()
    # a 40 x 30 rectangle of four loose lines, one of them drawn backwards
    for a, b in [((0, 0), (40, 0)), ((40, 30), (40, 0)), ((40, 30), (0, 30)), ((0, 30), (0, 0))]:
        msp.add_line(a, b)
    msp.add_circle((100, 0), 10)
    # a half disc: an arc and a line
    msp.add_arc((200, 0), 20, 0, 180)
    msp.add_line((180, 0), (220, 0))
    # a circle seen from below: its centre is mirrored
    msp.add_circle((-300, 0), 5, dxfattribs={"extrusion": (0, 0, -1)})
    # a rounded slot as a polyline with bulges: 60 x 20
    slot = [(400, 0, 0), (440, 0, 1), (440, 20, 0), (400, 20, 1)]
    if version == "R12":
        msp.add_polyline2d([(x, y, 0, 0, b) for x, y, b in slot], format="xyseb", close=True)
    else:
        msp.add_lwpolyline(slot, format="xyb", close=True)
        msp.add_ellipse((500, 0), major_axis=(30, 0), ratio=0.5)
        # a full circle of radius 15 as a rational spline of degree 2
        w = 2 ** -0.5
        points = [(615, 0), (615, 15), (600, 15), (585, 15), (585, 0), (585, -15), (600, -15), (615, -15), (615, 0)]
        knots = [0, 0, 0, 0.25, 0.25, 0.5, 0.5, 0.75, 0.75, 1, 1, 1]
        msp.add_rational_spline(points, weights=[1, w, 1, w, 1, w, 1, w, 1], degree=2, knots=knots)
    # a 10 x 5 block turned by a right angle, twice as wide, and another mirrored
    block = doc.blocks.new("PLATE")
    if version == "R12":
        block.add_polyline2d([(0, 0), (10, 0), (10, 5), (0, 5)], close=True)
    else:
        block.add_lwpolyline([(0, 0), (10, 0), (10, 5), (0, 5)], close=True)
    msp.add_blockref("PLATE", (700, 0), dxfattribs={"xscale": 2, "yscale": 1, "rotation": 90})
    msp.add_blockref("PLATE", (800, 0), dxfattribs={"xscale": -1, "yscale": 1})
    doc.write(sys.stdout)


def audit() -> None:
    with tempfile.NamedTemporaryFile("w", suffix=".dxf", encoding="utf-8") as file:
        file.write(sys.stdin.read())
        file.flush()
        doc = ezdxf.readfile(file.name)
    auditor = doc.audit()
    lengths = {}
    for entity in doc.modelspace():
        p = path.make_path(entity)
        points = list(p.flattening(0.0001))
        length = sum(a.distance(b) for a, b in zip(points, points[1:]))
        lengths.setdefault(entity.dxf.layer, []).append(length)
    errors = [e.message for e in auditor.errors + auditor.fixes]
    json.dump({"units": doc.units, "errors": errors, "lengths": lengths}, sys.stdout)


if __name__ == "__main__":
    if sys.argv[1] == "write":
        write(sys.argv[2])
    else:
        audit()
