package tallledger.web.speeds;

import tallledger.web.pictures.Pen;
import tallledger.web.pictures.PlotView;

/** The lattice of lever positions as a drawing, to hand on: a cell a combination, with its mark, what the plate says and what was read. */
public final class LatticePlot {

    private static final int LEFT = 90;
    private static final int TOP = 46;
    private static final int CELL = 104;
    private static final int ROW = 58;

    private LatticePlot() {
    }

    public static PlotView of(LatticeView lattice, String says) {
        int columns = lattice.columns().size();
        PlotView.Sheet sheet = new PlotView.Sheet(LEFT + columns * CELL + 10, TOP + lattice.rows().size() * ROW + 10);
        sheet.label(LEFT, 16, lattice.across(), "start");
        for (int c = 0; c < columns; c++) {
            sheet.label(LEFT + (c + 0.5) * CELL, TOP - 10, lattice.columns().get(c), "middle");
        }
        for (int r = 0; r < lattice.rows().size(); r++) {
            LatticeView.LatticeRow row = lattice.rows().get(r);
            double y = TOP + r * ROW;
            sheet.label(LEFT - 10, y + ROW / 2.0 + 4, row.label(), "end");
            for (int c = 0; c < row.cells().size(); c++) {
                cell(sheet, LEFT + c * CELL, y, row.cells().get(c));
            }
        }
        return sheet.done(says);
    }

    private static void cell(PlotView.Sheet sheet, double x, double y, LatticeView.LatticeCell cell) {
        sheet.line(Pen.RULE, x, y, x + CELL, y, x + CELL, y + ROW, x, y + ROW, x, y);
        if (!cell.gives()) {
            sheet.label(x + CELL / 2.0, y + ROW / 2.0 + 4, "–", "middle");
            return;
        }
        mark(sheet, x + 14, y, cell.mark());
        sheet.label(x + 28, y + 18, cell.plate(), "start");
        sheet.label(x + 28, y + 34, cell.reading(), "start");
        sheet.label(x + 28, y + 50, cell.off(), "start");
    }

    /**
     * The strokes of the marks: whole for proven, half for inferred, crossed for failed, two short ones for undecided; a ring for passed
     * over.
     */
    private static void mark(PlotView.Sheet sheet, double x, double y, String mark) {
        switch (mark) {
            case "proven" -> sheet.line(Pen.READ, x, y + 8, x, y + 50);
            case "inferred" -> sheet.line(Pen.READ, x, y + 30, x, y + 50);
            case "failed" -> sheet.line(Pen.FAULT, x, y + 8, x, y + 50).line(Pen.FAULT, x - 9, y + 48, x + 9, y + 10);
            case "close" -> sheet.line(Pen.READ, x - 4, y + 20, x - 4, y + 38).line(Pen.READ, x + 4, y + 20, x + 4, y + 38);
            case "passed" -> sheet.circle(Pen.READ, x, y + 29, 3);
            default -> {
            }
        }
    }
}
