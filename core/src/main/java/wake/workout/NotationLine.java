package wake.workout;

import java.util.ArrayList;
import java.util.List;

/**
 * One line of a notation text, taken apart as far as the layout goes.
 *
 * @param number its number, counted from 1
 * @param indent how far it is indented; a tab counts two
 * @param text what it says, without indent and comment
 * @param comment the comment behind {@code //}, or empty
 * @param column the column its text starts in, counted from 1
 * @param apart whether a blank line stands before it
 */
record NotationLine(int number, int indent, String text, String comment, int column, boolean apart) {
    boolean isRemark() {
        return text.isEmpty();
    }

    static List<NotationLine> of(String notation) {
        List<NotationLine> lines = new ArrayList<>();
        String[] raw = notation.split("\\R", -1);
        for (int i = 0; i < raw.length; i++) {
            if (!raw[i].isBlank()) {
                lines.add(line(i + 1, raw[i], i > 0 && raw[i - 1].isBlank()));
            }
        }
        return lines;
    }

    private static NotationLine line(int number, String raw, boolean apart) {
        int start = 0;
        int indent = 0;
        while (Character.isWhitespace(raw.charAt(start))) {
            indent += raw.charAt(start) == '\t' ? 2 : 1;
            start++;
        }
        int slashes = raw.indexOf("//", start);
        String text = (slashes < 0 ? raw.substring(start) : raw.substring(start, slashes)).stripTrailing();
        String comment = slashes < 0 ? "" : raw.substring(slashes + 2).strip();
        return new NotationLine(number, indent, text, comment, start + 1, apart);
    }

    NotationLine indentedTo(int depth) {
        return new NotationLine(number, depth, text, comment, column, apart);
    }

    /** The same with something more in its comment. */
    NotationLine noting(String more) {
        String both = comment.isEmpty() ? more : comment + "; " + more;
        return new NotationLine(number, indent, text, both, column, apart);
    }

    NotationLine uncommented() {
        return new NotationLine(number, indent, text, "", column, apart);
    }

    NotationLine saying(String other) {
        return new NotationLine(number, indent, other, comment, column, apart);
    }
}
