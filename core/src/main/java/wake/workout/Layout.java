package wake.workout;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.regex.Pattern;

/**
 * Gives the lines of a board that was pasted without indents the ones that are meant: what follows "4 rounds:" up to a blank line or the next
 * heading belongs to it, and all of a part belongs to the line that says how it is timed. A text that is indented is left as it is.
 *
 * @param lines the lines, in the words of the notation and with their indents
 * @param understood whether anything of it had to be understood, rather than read
 */
record Layout(List<NotationLine> lines, boolean understood) {
    private static final int STEP = 2;
    private static final Pattern PART = Pattern.compile("part\\b.*", Pattern.CASE_INSENSITIVE);
    private static final Pattern REST = Pattern.compile("(?:rest|from)\\b.*", Pattern.CASE_INSENSITIVE);
    private static final Pattern DIVISIONS = Pattern.compile("divisions\\b.*", Pattern.CASE_INSENSITIVE);
    /** What can only belong to a part, however little it is indented. */
    private static final Pattern BODY = Pattern.compile(
            "(?:\\d|rest\\b|max\\s|by\\s|tie-break|buy-in|cash-out|repeat:|in any order:).*", Pattern.CASE_INSENSITIVE);

    /** What stands beside the blocks of a part rather than in one. */
    private static final Pattern BESIDE =
            Pattern.compile("(?:tie-break|by\\s+[\\d:]+\\s+after|buy-in|cash-out)\\b.*", Pattern.CASE_INSENSITIVE);

    Layout {
        lines = List.copyOf(lines);
    }

    static Layout of(List<NotationLine> written) {
        List<NotationLine> worded = WhiteboardText.of(written);
        Laying laying = new Laying(worded);
        return new Layout(laying.laid(), laying.changed || !worded.equals(written));
    }

    /** One walk over the lines. */
    private static final class Laying {
        private final List<NotationLine> lines;
        private final List<NotationLine> laid = new ArrayList<>();
        /** The indents of the blocks that are open and whose lines are not indented below them. */
        private final Deque<Integer> flat = new ArrayDeque<>();

        private int shift;
        /** How far the line that times the part is indented, and how far what belongs to it. */
        private int outer;

        private int inner;
        /** How much deeper than they are written a line that fell out of its part, and what stands below it, belong. */
        private int fell;

        private boolean changed;
        private boolean opened;

        Laying(List<NotationLine> lines) {
            this.lines = lines;
        }

        List<NotationLine> laid() {
            boolean timed = false;
            for (int i = 0; i < lines.size(); i++) {
                NotationLine line = lines.get(i);
                boolean heads = line.text().startsWith("#")
                        || DIVISIONS.matcher(line.text()).matches();
                if (line.isRemark() || !timed && heads) {
                    laid.add(line.isRemark() ? at(line) : line);
                } else if (!timed || isSection(i)) {
                    timed = true;
                    section(i);
                } else {
                    body(i);
                }
            }
            return laid;
        }

        /** A part, or the rest between two: how far its lines are from being indented below it. */
        private void section(int i) {
            flat.clear();
            opened = false;
            NotationLine line = lines.get(i);
            int next = next(i);
            int indent = next < 0 ? Integer.MAX_VALUE : lines.get(next).indent();
            boolean without = next > 0 && !isSection(next) && indent <= line.indent();
            shift = without ? line.indent() - indent + STEP : 0;
            outer = line.indent();
            fell = 0;
            inner = without ? outer + STEP : indent;
            changed |= without;
            laid.add(line);
        }

        private void body(int i) {
            NotationLine line = lines.get(i);
            boolean heading =
                    WhiteboardText.opens(line) || BESIDE.matcher(line.text()).matches();
            while (!flat.isEmpty() && (heading || line.apart() && !opened || line.indent() < flat.peek())) {
                flat.pop();
            }
            opened = false;
            laid.add(at(line));
            int next = next(i);
            if (WhiteboardText.opens(line) && next > 0 && !isSection(next) && belongs(lines.get(next), line)) {
                flat.push(line.indent());
                opened = true;
                changed = true;
            }
        }

        private NotationLine at(NotationLine line) {
            if (shift == 0 && line.indent() <= outer) {
                boolean fallen = flat.isEmpty() && BODY.matcher(line.text()).matches();
                fell = fallen ? inner - line.indent() : 0;
                changed |= fallen;
            }
            int depth = line.indent() + shift + fell + STEP * flat.size();
            return depth == line.indent() ? line : line.indentedTo(depth);
        }

        /** Whether the line below a heading is the first of its block although it is not indented. */
        private static boolean belongs(NotationLine next, NotationLine heading) {
            return next.indent() <= heading.indent()
                    && !WhiteboardText.opens(next)
                    && !BESIDE.matcher(next.text()).matches();
        }

        /** The place of the next line that says something; below 0 where there is none. */
        private int next(int i) {
            int next = i + 1;
            while (next < lines.size() && lines.get(next).isRemark()) {
                next++;
            }
            return next < lines.size() ? next : -1;
        }

        /** Whether a part begins here, or the rest before one. */
        private boolean isSection(int i) {
            String text = lines.get(i).text();
            if (PART.matcher(text).matches()) {
                return true;
            }
            int next = next(i);
            return REST.matcher(text).matches()
                    && next > 0
                    && PART.matcher(lines.get(next).text()).matches()
                    && lines.get(i).indent() <= lines.get(next).indent();
        }
    }
}
