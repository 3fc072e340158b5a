package wake.exchange;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import wake.log.AttemptLog;
import wake.log.Granularity;
import wake.log.Lift;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.log.Resolution;
import wake.log.SegmentSplit;
import wake.log.SetSplit;
import wake.units.InvalidInput;
import wake.units.Lengths;
import wake.units.Messages;

/**
 * WebVTT (W3C) beside a video: a chapter for each segment, and captions with the running count and what the coach noted. A file of
 * captions gives the notes back; so does any other, a note for each of its captions.
 */
public final class CaptionFile {
    private static final long COUNT_SHOWN_MS = 4000;
    private static final long NOTE_SHOWN_MS = 4000;
    private static final int MOST = 2000;
    private static final int LONGEST = 2_000_000;
    private static final int LONGEST_LINE = 4000;
    private static final int LONGEST_NOTE = 2000;
    private static final int LONGEST_TAG = 40;
    private static final String COUNT = "count ";
    private static final Pattern TIMES = Pattern.compile(
            "((?:\\d{2,}:)?\\d{2}:\\d{2}[.]\\d{3})\\s+-->\\s+((?:\\d{2,}:)?\\d{2}:\\d{2}[.]\\d{3})(?:\\s.*)?");
    private static final Pattern VOICE = Pattern.compile("(?s)<v(?:[.][^\\s>]*+)?\\s++([^>]*+)>(.*?)(?:</v>)?");

    /** Spans and times inside of a caption. Neither looks beyond the next bracket: many that never close cost no more than their length. */
    private static final Pattern TAGS = Pattern.compile("</?(?:c|i|b|u|ruby|rt|lang|v)(?:[.\\s][^<>]*+)?>|<[0-9:.]++>");

    private CaptionFile() {}

    private record Caption(String id, long fromMs, long toMs, String text) {}

    /** A chapter for each segment, or each lift; times count from the start of the video, where "go" lies at {@code goMs}. */
    public static String chapters(AttemptLog log, long goMs) {
        List<Caption> chapters = new ArrayList<>();
        for (SegmentSplit split : log.splits()) {
            chapters.add(new Caption(
                    "movement " + (split.segment().index() + 1),
                    goMs + split.arrivalMs(),
                    goMs + split.endMs(),
                    escaped(split.segment().place())));
        }
        int number = 0;
        for (Lift lift : log.lifts()) {
            number++;
            chapters.add(new Caption(
                    "lift " + number,
                    goMs + lift.atMs(),
                    goMs + lift.endMs().orElse(lift.atMs() + NOTE_SHOWN_MS),
                    escaped(Messages.capital(lift.load().map(Object::toString).orElse("load not logged") + ", "
                            + lift.outcome().words()))));
        }
        return written(chapters);
    }

    /** The running count of each movement, and the coach's notes. */
    public static String captions(AttemptLog log, long goMs) {
        List<Caption> captions = new ArrayList<>();
        for (SegmentSplit split : log.splits()) {
            counts(split, goMs, captions);
        }
        for (Mark note : log.notes()) {
            captions.add(new Caption(
                    "note " + note.id(), goMs + note.atMs(), goMs + note.atMs() + NOTE_SHOWN_MS, voiced(note)));
        }
        return written(captions);
    }

    private static void counts(SegmentSplit split, long goMs, List<Caption> captions) {
        if (!split.segment().tappable()) {
            return;
        }
        int of = split.segment().steps();
        int done = 0;
        for (SetSplit set : split.sets()) {
            int inSet = set.reps().orElse(0);
            List<Long> taps = set.repTimesMs();
            for (int i = 0; i < taps.size() && i < inSet; i++) {
                long next = i + 1 < taps.size() ? taps.get(i + 1) : taps.get(i) + COUNT_SHOWN_MS;
                captions.add(count(split, done + i + 1, of, goMs + taps.get(i), goMs + next));
            }
            done += inSet;
            if (taps.size() < inSet) {
                captions.add(count(split, done, of, goMs + set.endMs(), goMs + set.endMs() + COUNT_SHOWN_MS));
            }
        }
    }

    private static Caption count(SegmentSplit split, int done, int of, long fromMs, long toMs) {
        return new Caption(
                COUNT + (split.segment().index() + 1) + "-" + done,
                fromMs,
                Math.max(fromMs + 1, toMs),
                escaped(done + " of " + of + " " + split.segment().movement().name()));
    }

    /** The tag stands as the voice. */
    private static String voiced(Mark note) {
        String text = escaped(note.text().strip().replaceAll("\\R\\s*(?:\\R\\s*)*", "\n"));
        return note.tag().isBlank() ? text : "<v " + escaped(note.tag()) + ">" + text + "</v>";
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
    }

    private static String plain(String text) {
        return TAGS.matcher(text)
                .replaceAll("")
                .replace("&lt;", "<")
                .replace("&gt;", ">")
                .replace("&nbsp;", " ")
                .replace("&lrm;", "")
                .replace("&rlm;", "")
                .replace("&amp;", "&");
    }

    private static String written(List<Caption> captions) {
        StringBuilder file = new StringBuilder("WEBVTT\n");
        captions.stream().sorted(Comparator.comparingLong(Caption::fromMs)).forEach(caption -> {
            long from = Math.max(0, caption.fromMs());
            file.append("\n").append(caption.id()).append("\n").append(time(from));
            file.append(" --> ").append(time(Math.max(from + 1, caption.toMs())));
            file.append("\n").append(caption.text()).append("\n");
        });
        return file.toString();
    }

    private static String time(long ms) {
        long seconds = ms / 1000;
        return String.format(
                Locale.ROOT, "%02d:%02d:%02d.%03d", seconds / 3600, seconds / 60 % 60, seconds % 60, ms % 1000);
    }

    /**
     * Reads notes: each caption becomes one at the time of the video it appears at; running counts are left out.
     *
     * @throws InvalidInput naming the line that does not fit
     */
    public static List<Mark> notes(String vtt) {
        String[] lines = Lengths.text(vtt, LONGEST, LONGEST_LINE)
                .replaceFirst("^\\uFEFF", "")
                .split("\\r\\n|\\n|\\r", -1);
        if (!lines[0].matches("WEBVTT(?:[ \\t].*)?")) {
            throw new InvalidInput("Line 1: this is not a WebVTT file. It starts with \"WEBVTT\", not \""
                    + shortened(lines[0]) + "\"");
        }
        List<Mark> notes = new ArrayList<>();
        int at = 1;
        while (at < lines.length) {
            int end = at;
            while (end < lines.length && !lines[end].isEmpty()) {
                end++;
            }
            if (end > at) {
                block(lines, at, end, notes);
            }
            at = end + 1;
        }
        return notes;
    }

    private static void block(String[] lines, int from, int to, List<Mark> notes) {
        if (lines[from].matches("(?:NOTE|STYLE|REGION)(?:\\s.*)?") || from == 1) {
            return;
        }
        boolean named = !lines[from].contains("-->");
        int timed = named ? from + 1 : from;
        if (timed >= to) {
            throw new InvalidInput("Line " + (from + 1) + ": the times of a caption are missing after \""
                    + shortened(lines[from]) + "\". The file may be incomplete");
        }
        Matcher times = TIMES.matcher(lines[timed].strip());
        if (!times.matches()) {
            throw new InvalidInput("Line " + (timed + 1) + ": write times like 00:01:02.500 --> 00:01:06.500, not \""
                    + shortened(lines[timed]) + "\"");
        }
        long start = ms(times.group(1), timed + 1);
        if (ms(times.group(2), timed + 1) < start) {
            throw new InvalidInput("Line " + (timed + 1) + ": it ends before it begins");
        }
        String text = String.join("\n", Arrays.asList(lines).subList(timed + 1, to));
        if (named && lines[from].matches(COUNT + "\\d+-\\d+") || text.isBlank()) {
            return;
        }
        notes.add(note(text, start, timed + 2, notes.size()));
    }

    private static Mark note(String written, long mediaMs, int line, int number) {
        Matcher voice = VOICE.matcher(written);
        boolean voiced = voice.matches();
        String tag = voiced ? plain(voice.group(1)).strip() : "";
        String text = plain(voiced ? voice.group(2) : written).strip();
        if (text.length() > LONGEST_NOTE || tag.length() > LONGEST_TAG) {
            throw new InvalidInput("Line " + line + ": at most " + LONGEST_NOTE + " characters");
        }
        if (number >= MOST) {
            throw new InvalidInput("Line " + line + ": at most " + MOST + " captions");
        }
        return new Mark(
                new UUID(0, number), MarkKind.CUE, mediaMs, 0, Granularity.SET, tag, text, Resolution.ofTyped(0.001));
    }

    private static long ms(String time, int line) {
        String[] parts = time.split("[:.]");
        int n = parts.length;
        long hours = n > 3 ? Long.parseLong(parts[0].length() > 4 ? "9999" : parts[0]) : 0;
        long minutes = Long.parseLong(parts[n - 3]);
        long seconds = Long.parseLong(parts[n - 2]);
        if (minutes > 59 || seconds > 59 || hours > 99) {
            throw new InvalidInput("Line " + line + ": minutes and seconds go up to 59, not " + time);
        }
        return ((hours * 60 + minutes) * 60 + seconds) * 1000 + Long.parseLong(parts[n - 1]);
    }

    private static String shortened(String line) {
        return line.length() > 40 ? line.substring(0, 40) + " …" : line;
    }
}
