package wake.e2e;

import com.microsoft.playwright.Page;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** What a page says, held to the words of the field: docs/architecture.md lists what each thing is called. */
final class Glossary {
    /** Words that are not used for it, and the one that is. */
    private static final List<String[]> SAY = List.of(
            new String[] {"ways? (there|between|up)|getting (to|there|between)|to it \\d", "transition"},
            new String[] {"ways of doing|done another way", "technique"},
            new String[] {"told apart|unseparated", "not broken down, unassigned"},
            new String[] {"own best", "best splits"},
            new String[] {"the call|no call|calls checked|called against", "projection"},
            new String[] {"on evidence|not yet shown|shown, also late", "proven"},
            new String[] {"lands? free|takes? back|to be expected", "best case, fatigue cost, projected"},
            new String[] {"won (\\d|back|nothing)|not won", "saved, faster"},
            new String[] {"read against|held against", "compared with"},
            new String[] {"reading error", "timing error"},
            new String[] {"(by|until|at|beyond) the bell|stop or bell", "buzzer, time cap"},
            new String[] {"in hand", "to spare"},
            new String[] {"(?<!Lock )gates?", "cut-off"},
            new String[] {"first action", "movement starts"},
            new String[] {"cadences?", "rep rate, pace"},
            new String[] {"\\d a minute|s a rep|per 500 m|per km", "reps/min, s/rep, /500 m, /km"},
            new String[] {"segments?", "split, movement"},
            new String[] {"start schools?", "pacing strategy"},
            new String[] {"is kept|are kept|keep these|take out|take away|let it go|taken in|for good", "save, remove"},
            new String[] {"films?|recordings?", "video"},
            new String[] {"remarks?|pin a cue", "note"},
            new String[] {"noise|fall-off", "normal variation, fade"},
            new String[] {"metcons?|midline|monostructural|gymnastics", "conditioning part, trunk, erg"},
            new String[] {"expected (a|an|the|sets|seconds|at|one|reps)", "what to do"},
            new String[] {"\\d %", "82%"},
            new String[] {
                "quicker|dear(er|est)?|cheap(er|est)?|wish|must.hit|not alike", "faster, smallest, reach, target"
            });

    private static final List<Said> PATTERNS = SAY.stream()
            .map(one -> new Said(
                    Pattern.compile("(?<![\\p{L}-])(" + one[0] + ")(?![\\p{L}-])", Pattern.CASE_INSENSITIVE), one[1]))
            .toList();

    private record Said(Pattern not, String but) {}

    private Glossary() {}

    /** What a page says in other words, with the words to use, a line each; empty where all is well. */
    static String otherWords(Page page) {
        String all = (String) page.evaluate("""
                () => [document.title, document.body.innerText,
                       ...[...document.querySelectorAll("[aria-label],[placeholder],[title],[alt],option")].flatMap(one =>
                           [one.getAttribute("aria-label"), one.getAttribute("placeholder"), one.getAttribute("title"),
                            one.getAttribute("alt"), one.tagName === "OPTION" ? one.textContent : null])]
                    .filter(one => one)
                    .join("\\n")
                """);
        return all.lines()
                .flatMap(line -> PATTERNS.stream().flatMap(said -> {
                    Matcher found = said.not().matcher(line);
                    return found.find()
                            ? java.util.stream.Stream.of(
                                    "\"" + found.group() + "\" is " + said.but() + ": " + line.strip())
                            : java.util.stream.Stream.empty();
                }))
                .distinct()
                .collect(Collectors.joining("\n"));
    }

    /** How many lines the headline takes. */
    static int headlineLines(Page page) {
        return ((Number) page.evaluate("""
                () => {
                    const headline = document.querySelector("main h1");
                    const style = getComputedStyle(headline);
                    return Math.round(headline.getBoundingClientRect().height / parseFloat(style.lineHeight));
                }
                """)).intValue();
    }
}
