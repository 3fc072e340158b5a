package wake.workout;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Lines as people write them on a board, in the words of the notation: "4 rounds for time:", "12 min amrap", "time cap: 12 min",
 * "12-9-6-3 of". What is written in the notation already stays as it is, to the letter.
 */
final class WhiteboardText {
    private static final String TIME = BoardWords.TIME;
    private static final String SCHEME = "(\\d+(?:\\s*-\\s*\\d+)+)(?:\\s+reps?)?";
    private static final String CAP = "(?:time\\s+)?cap\\s*:?\\s*" + TIME;
    private static final String MAYBE_CAP = "(?:[,(–-]?\\s*" + CAP + "\\s*\\)?)?";
    private static final String OF = "(?:\\s+of)?\\s*:?";

    private static final Pattern SCHEME_HEAD = pattern(SCHEME + OF);
    private static final Pattern CAP_ALONE = pattern("\\(?\\s*" + CAP + "\\s*\\)?");
    private static final Pattern ROUNDS_OF = pattern("([\\d+-]+)\\s+rounds?\\s+of\\s*:?");
    private static final Pattern TIMES = pattern("(?:part\\b|for\\s+time|amrap|every|lift).*");
    private static final Pattern STARTS_LIKE_TIMING =
            pattern("(?:part|for\\s+time|amrap|every|emom|e\\dmom|lift|max|build|find|establish|work|\\d).*");
    private static final Pattern SCORE_ALONE =
            pattern("\\(?\\s*score\\s*(?::|is|=)?\\s*(?:total\\s+|all\\s+)?(reps|rounds)(?:\\s*\\+\\s*reps)?\\s*\\)?");
    private static final Pattern UNSCORED = pattern("(?:part\\s.*:\\s*)?amrap [\\d:]+");
    private static final String PAIRS =
            "(?:ygig|(?:in\\s+pairs,?\\s+|partners?,?\\s+)?(?:you\\s+go,?\\s*/?\\s*i\\s+go|i\\s+go,?\\s*/?\\s*you\\s+go))";
    private static final Pattern PAIRS_ALONE = pattern("\\(?\\s*" + PAIRS + "\\s*\\)?");
    private static final Pattern PAIRS_BEHIND = pattern("(.*?\\S)\\s*[,(]\\s*" + PAIRS + "\\s*\\)?\\s*:?");
    private static final Pattern UNPAIRED =
            pattern("(?:part\\s.*:\\s*)?(?:for time(?:, cap [\\d:]+)?|amrap [\\d:]+(?:, score \\w+)?)");
    /** No line that people write is longer; what is is left as it stands, as trying where its words could end takes for ever. */
    static final int LONGEST = 1000;

    private static final String IN_TURN = ", in turn";
    private static final String PAIRED = ", you go I go";
    private static final Pattern PART = pattern("(part\\s+[^:]+?)\\s*:\\s*(.+)");
    private static final Pattern PART_FROM =
            pattern("(part\\s+[^:]+?),?\\s+(?:from|at)\\s+(\\d{1,3}:\\d\\d)\\s*:\\s*(.+)");
    private static final String LENGTH = "(\\d+(?:\\.\\d+)?\\s*(?:ft|m|km|mi|in|cm))";
    private static final Pattern IN_PIECES = pattern("(\\d.*[^\\s,(])(?:\\s*\\(\\s*|\\s*,\\s*|\\s+)in\\s+" + LENGTH
            + "(?:\\s+(pieces|sections|segments|lengths))?\\s*\\)?((?:\\s*[,@]).*)?");
    private static final Pattern NOTED = pattern("((?:\\d|max\\s)[^()@]*)\\(([^()]*)\\)\\s*(@[^()]*)?");
    private static final Pattern DIVISIONS = pattern("divisions\\s*:.*");
    /** A movement without an amount, rather than a line that begins with a word of the notation. */
    private static final Pattern NAMED =
            pattern("(?!(?:part|rest|by|from|tie-break|buy-in|cash-out|repeat|in any order|max|score|cap)\\b)[a-z].*");

    /** "odd: 12 cal row", "min 2: 9 burpee". */
    private static final Pattern TURN = pattern(
            "(?:odd|even|min(?:ute)?\\s*\\d{1,2}|\\d{1,2}(?:st|nd|rd|th)\\s+min(?:ute)?)(?:\\s+minutes?)?\\s*[:–-]\\s*(\\d.*)");

    private static final Pattern GATED = pattern("(\\S.*?)\\s*[,(]\\s*(" + BoardWords.CUT_OFF + ")\\s*\\)?\\s*:?");
    /** "1 RM power snatch" below "lift 8:00". */
    private static final Pattern HEAVY_ALONE =
            pattern("(?:1\\s*-?\\s*rm|heavy(?:\\s+single)?)\\s+(?:of\\s+)?([a-z][^\\d,]*)");

    private static final Pattern LIFTLESS = pattern("(?:part\\s.*:\\s*)?lift [\\d:]+");
    private static final Pattern UNTURNED = pattern("(?:part\\s.*:\\s*)?every [\\d:]+ x \\d+");
    private static final Pattern UNCAPPED = pattern("(?:part\\s.*:\\s*)?for time");
    private static final String LADDER = "(?:,?\\s+ladder)?";
    private static final String UNTITLED = "# Untitled";

    /** A way to say how a part is timed, and the lines of the notation that say the same. */
    private record Form(Pattern pattern, Function<MatchResult, List<String>> words) {
        Form(String pattern, Function<MatchResult, List<String>> words) {
            this(WhiteboardText.pattern(pattern), words);
        }
    }

    private static final List<Form> TIMINGS = List.of(
            new Form(
                    "(\\d{1,3})(?:\\s+rounds?\\s+for\\s+time(?:\\s+of)?|\\s*rft)\\s*" + MAYBE_CAP + "\\s*:?",
                    said -> List.of("for time" + capped(said.group(2)), said.group(1) + " rounds:")),
            new Form(
                    SCHEME + "\\s+for\\s+time\\s*" + MAYBE_CAP + OF,
                    said -> List.of(
                            "for time" + capped(said.group(2)), said.group(1).replaceAll("\\s+", ""))),
            new Form("lift\\s+" + TIME + "\\s*:?", said -> List.of("lift " + clock(said.group(1)))),
            new Form(
                    "(?:(?:build|work)(?:ing)?\\s+(?:up\\s+)?to|find|establish)\\s+(?:(?:an?|your|the)\\s+)?"
                            + "(?:heavy|heaviest|max|1\\s*-?\\s*rm)\\s+(?:single\\s+)?(?:of\\s+)?([a-z][^\\d,]*?)\\s+in\\s+"
                            + TIME
                            + "\\s*:?",
                    said -> List.of("lift " + clock(said.group(2)) + ", best of 1 " + said.group(1))),
            new Form(
                    "max(?:imum)?\\s+(?:reps\\s+(?:of\\s+)?)?(.+?)\\s+in\\s+" + TIME + "\\s*:?",
                    said -> List.of("amrap " + clock(said.group(2)), "max " + said.group(1))),
            new Form("amrap\\s*:?\\s*" + TIME + LADDER + "\\s*:?", said -> List.of("amrap " + clock(said.group(1)))),
            new Form(
                    TIME + "\\s+(?:amrap" + LADDER + "|ladder)\\s*:?",
                    said -> List.of("amrap " + clock(said.group(1)))),
            new Form(
                    "(?:emom\\s*:?|every\\s+minute(?:\\s+on\\s+the\\s+minute)?\\s+for)\\s*(\\d{1,3})(?:\\s*min\\w*)?\\s*:?",
                    said -> List.of("every 1:00 x " + said.group(1))),
            new Form(
                    "(\\d{1,3})\\s*-?\\s*(?:min\\w*\\s+)?emom\\s*:?", said -> List.of("every 1:00 x " + said.group(1))),
            new Form("e([2-9])mom\\s*:?\\s*(\\d{1,3})(?:\\s*min\\w*)?\\s*:?", WhiteboardText::everyFewMinutes),
            new Form(
                    "every\\s+" + TIME + "\\s+(?:x\\s*(\\d{1,3})|for\\s+(\\d{1,3})\\s+(?:rounds|sets))\\s*:?",
                    said -> List.of("every " + clock(said.group(1)) + " x "
                            + (said.group(2) != null ? said.group(2) : said.group(3)))),
            new Form("for\\s+time\\s*" + MAYBE_CAP + "\\s*:?", said -> List.of("for time" + capped(said.group(1)))));

    private final List<NotationLine> worded = new ArrayList<>();
    /** Cut-offs that stood behind the timing. */
    private final List<NotationLine> gates = new ArrayList<>();

    private boolean titled;
    private boolean timed;
    /** The step of the ladder whose rungs stood on a line of their own; empty above it. */
    private String ladder = "";

    private WhiteboardText() {}

    private static Pattern pattern(String expression) {
        return BoardWords.pattern(expression);
    }

    /** Whether a line heads others with one number for each round: "12-9-6-3", "12-9-6-3 of:". */
    static boolean isSchemeHead(String text) {
        return SCHEME_HEAD.matcher(text).matches();
    }

    /** Whether the lines below belong to a line. */
    static boolean opens(NotationLine line) {
        return line.text().endsWith(":") || isSchemeHead(line.text());
    }

    /** The scheme of such a head, as "12-9-6-3". */
    static String scheme(String text) {
        Matcher matcher = SCHEME_HEAD.matcher(text);
        return matcher.matches() ? matcher.group(1).replaceAll("\\s+", "") : text;
    }

    /** Whether a line says how a part is timed, in the words people use. */
    static boolean isTiming(NotationLine line) {
        NotationLine said = line.saying(BoardWords.of(line.text()));
        return part(said).or(() -> timing(said)).isPresent();
    }

    static List<NotationLine> of(List<NotationLine> lines) {
        WhiteboardText words = new WhiteboardText();
        lines.stream()
                .flatMap(OneLine::split)
                .map(words::withoutGate)
                .forEach(line -> words.add(
                        words.titled || STARTS_LIKE_TIMING.matcher(line.text()).matches() ? words.plain(line) : line));
        words.closePart();
        return ListedRounds.headed(words.worded);
    }

    /** Takes a cut-off from behind the timing, to stand below what the part asks for. */
    private NotationLine withoutGate(NotationLine line) {
        if (line.text().length() > LONGEST) {
            return line;
        }
        if (PART.matcher(line.text()).matches()) {
            closePart();
        }
        Matcher gated = GATED.matcher(line.text());
        if (!gated.matches() || !isTiming(line.saying(gated.group(1)))) {
            return line;
        }
        gates.add(line.saying(BoardWords.of(gated.group(2))).uncommented());
        return line.saying(gated.group(1));
    }

    private void closePart() {
        worded.addAll(gates);
        gates.clear();
    }

    /** The same line in the words and the order of the notation; below the rungs of a ladder, with them. */
    private NotationLine plain(NotationLine line) {
        if (line.isRemark() || line.text().length() > LONGEST || line.text().startsWith("#")) {
            return line;
        }
        Optional<BoardWords.Ladder> rungs = BoardWords.ladder(line.text());
        if (rungs.isPresent() && rungs.get().behind().isEmpty()) {
            ladder = rungs.get().step() + " ";
            return line.saying("").noting(line.text());
        }
        String text = rungs.map(one -> one.step() + " " + one.behind()).orElse(line.text());
        String words = BoardWords.of(text);
        boolean climbs = !ladder.isEmpty() && NAMED.matcher(words).matches();
        return words.equals(line.text()) && !climbs ? line : line.saying(climbs ? ladder + words : words);
    }

    private void add(NotationLine line) {
        if (line.isRemark() || line.text().length() > LONGEST) {
            titled |= !line.isRemark();
            worded.add(line);
        } else if (!titled) {
            titled = true;
            first(line);
        } else {
            Optional<List<NotationLine>> timing = part(line).or(() -> timed ? Optional.empty() : timing(line));
            Matcher cap = CAP_ALONE.matcher(line.text());
            Matcher score = SCORE_ALONE.matcher(line.text());
            Matcher lift = HEAVY_ALONE.matcher(line.text());
            Matcher turn = TURN.matcher(line.text());
            boolean pairs = PAIRS_ALONE.matcher(line.text()).matches();
            if (timing.isPresent()) {
                timed = true;
                worded.addAll(timing.get());
            } else if (lift.matches() && adds(LIFTLESS, ", best of 1 " + lift.group(1))) {
                timed = true;
            } else if (turn.matches() && takesTurns()) {
                worded.add(block(line.saying(turn.group(1))));
            } else if ((!pairs || !adds(UNPAIRED, PAIRED))
                    && (!cap.matches() || !adds(UNCAPPED, capped(cap.group(1))))
                    && (!score.matches()
                            || !adds(UNSCORED, ", score " + score.group(1).toLowerCase(Locale.ROOT)))) {
                timed |= TIMES.matcher(line.text()).matches();
                worded.add(block(line));
            }
        }
    }

    /** The title, without its # too; a board that begins with how it is timed, or with its divisions, has none. */
    private void first(NotationLine line) {
        boolean timing = STARTS_LIKE_TIMING.matcher(line.text()).matches();
        Optional<List<NotationLine>> said = timing ? part(line).or(() -> timing(line)) : Optional.empty();
        boolean divisions = DIVISIONS.matcher(line.text()).matches();
        if (line.text().startsWith("#")) {
            worded.add(line);
        } else if (divisions || said.isPresent()) {
            worded.add(line.saying(UNTITLED).indentedTo(0));
            worded.addAll(said.orElse(List.of(line)));
            timed = said.isPresent();
        } else {
            worded.add(timing ? line : line.saying("# " + line.text()));
        }
    }

    /** "part B, from 7:00: AMRAP 5" in the notation's words; empty where it is no part, or in them already. */
    private static Optional<List<NotationLine>> part(NotationLine line) {
        Matcher from = PART_FROM.matcher(line.text());
        if (from.matches()) {
            NotationLine rest = line.saying(from.group(1) + ": " + from.group(3));
            List<NotationLine> lines = new ArrayList<>(List.of(line.saying("from " + from.group(2))));
            lines.addAll(part(rest).orElse(List.of(rest)));
            return Optional.of(lines);
        }
        Matcher part = PART.matcher(line.text());
        return part.matches()
                ? timing(line.saying(part.group(2))).map(said -> {
                    List<NotationLine> lines = new ArrayList<>(said);
                    lines.set(
                            0,
                            line.saying(part.group(1) + ": " + said.getFirst().text()));
                    return lines;
                })
                : Optional.empty();
    }

    /** A line that says how a part is timed, in the notation's words; empty where it is in none of those that people use. */
    private static Optional<List<NotationLine>> timing(NotationLine line) {
        Matcher pairs = PAIRS_BEHIND.matcher(line.text());
        if (pairs.matches() && !line.text().endsWith(PAIRED)) {
            NotationLine alone = line.saying(pairs.group(1));
            List<NotationLine> lines = new ArrayList<>(timing(alone).orElse(List.of(alone)));
            lines.set(0, line.saying(lines.getFirst().text() + PAIRED));
            return Optional.of(lines);
        }
        return TIMINGS.stream()
                .flatMap(form -> {
                    Matcher matcher = form.pattern().matcher(line.text());
                    return matcher.matches() ? Stream.of(form.words().apply(matcher)) : Stream.empty();
                })
                .filter(words -> !words.isEmpty())
                .findFirst()
                .map(words -> words.stream().map(line::saying).toList());
    }

    /** "3 rounds of:" is "3 rounds:", "200 ft walk in 25 ft sections" is "200 ft walk, in 25 ft". */
    private static NotationLine block(NotationLine line) {
        Matcher rounds = ROUNDS_OF.matcher(line.text());
        if (rounds.matches()) {
            return line.saying(rounds.group(1) + " rounds:");
        }
        Matcher pieces = IN_PIECES.matcher(line.text());
        if (!pieces.matches()) {
            return noted(line);
        }
        String behind = pieces.group(4) == null ? "" : pieces.group(4);
        String said = pieces.group(1).stripTrailing() + ", in " + pieces.group(2) + behind;
        return BoardWords.isOnlySpaced(said, line.text()) ? line : line.saying(said);
    }

    /** "5 front squat (tempo 3-1-1) @ 60 kg" is a front squat, and what stands in parentheses is noted beside it. */
    private static NotationLine noted(NotationLine line) {
        Matcher noted = NOTED.matcher(line.text());
        if (!noted.matches() || noted.group(2).isBlank() || BoardWords.wantsAUnit(line.text())) {
            return line;
        }
        String behind = noted.group(3) == null ? "" : " " + noted.group(3).strip();
        return line.saying(noted.group(1).stripTrailing() + behind)
                .noting(noted.group(2).strip());
    }

    /** Puts what stands on a line of its own behind the timing of its part; whether that lacks it. */
    private boolean adds(Pattern lacking, String words) {
        int at = timingAt();
        if (at < 0 || !lacking.matcher(worded.get(at).text()).matches()) {
            return false;
        }
        worded.set(at, worded.get(at).saying(worded.get(at).text() + words));
        return true;
    }

    /** Whether the lines of the part take turns, one for each interval; says so where it only has intervals. */
    private boolean takesTurns() {
        int at = timingAt();
        return at >= 0 && (adds(UNTURNED, IN_TURN) || worded.get(at).text().endsWith(IN_TURN));
    }

    /** Where the timing of the part stands that the lines now belong to; -1 above the first. */
    private int timingAt() {
        int at = worded.size() - 1;
        while (at >= 0 && !TIMES.matcher(worded.get(at).text()).matches()) {
            at--;
        }
        return at;
    }

    /** "E2MOM 12": none where the minutes do not come out even. */
    private static List<String> everyFewMinutes(MatchResult said) {
        int minutes = Integer.parseInt(said.group(1));
        int all = Integer.parseInt(said.group(2));
        return all % minutes == 0 ? List.of("every " + minutes + ":00 x " + all / minutes) : List.of();
    }

    private static String capped(@Nullable String cap) {
        return cap == null ? "" : ", cap " + clock(cap);
    }

    private static String clock(String written) {
        return written.contains(":") ? written : written + ":00";
    }
}
