package wake.trace;

import java.util.ArrayList;
import java.util.List;
import wake.trace.Trace.Sample;

/** The pieces of work in a trace with distance: where it moved, with pauses between. */
public final class WorkIntervals {
    /** Slower than this the machine is running out, or the athlete is walking about; an assumption. */
    private static final double STANDING_M_PER_S = 0.5;
    /** Standing for so long ends a piece; an assumption. */
    static final long PAUSE_MS = 4000;

    /** Less than this is no work; an assumption. */
    private static final double SHORTEST_M = 20;

    private WorkIntervals() {}

    /**
     * A piece.
     *
     * @param fromMs on the device's clock
     * @param toMs on the device's clock
     * @param metres covered in it
     */
    public record Piece(long fromMs, long toMs, double metres) {
        public long lengthMs() {
            return toMs - fromMs;
        }
    }

    /** In order. */
    public static List<Piece> of(Trace trace) {
        List<Sample> known = trace.samples().stream()
                .filter(sample -> sample.metres().isPresent())
                .toList();
        List<Piece> pieces = new ArrayList<>();
        int from = -1;
        int to = -1;
        for (int i = 1; i < known.size(); i++) {
            Sample a = known.get(i - 1);
            Sample b = known.get(i);
            double metres = b.metres().orElseThrow() - a.metres().orElseThrow();
            double seconds = (b.atMs() - a.atMs()) / 1000.0;
            boolean moves = seconds > 0 && metres / seconds >= STANDING_M_PER_S;
            if (moves) {
                if (from >= 0 && a.atMs() - known.get(to).atMs() > PAUSE_MS) {
                    add(pieces, known, from, to);
                    from = -1;
                }
                from = from < 0 ? i - 1 : from;
                to = i;
            }
        }
        if (from >= 0) {
            add(pieces, known, from, to);
        }
        return pieces;
    }

    private static void add(List<Piece> pieces, List<Sample> known, int from, int to) {
        double metres =
                known.get(to).metres().orElseThrow() - known.get(from).metres().orElseThrow();
        if (metres >= SHORTEST_M) {
            pieces.add(new Piece(known.get(from).atMs(), known.get(to).atMs(), metres));
        }
    }
}
