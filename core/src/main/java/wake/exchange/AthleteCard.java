package wake.exchange;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.apache.commons.text.StringEscapeUtils;

/**
 * What an athlete is handed: one page as one file of HTML that needs nothing else and runs nothing.
 *
 * @param sentence the coach's own words; empty for none
 * @param athlete whose it is
 * @param workout which, with its part
 * @param when the day and the division, in words
 * @param score in words
 * @param reached where in the workout that was; empty where the clock is the score
 * @param came what became of the projection it was set by; empty where it is no retest
 * @param answer what the reading says, in a sentence
 * @param wake the wake as SVG; empty where there is none
 * @param findings what cost most, three at most
 * @param splits where the clock stood
 * @param plan the next attempt; empty where none was projected
 * @param day when to do it again, and why then; or why there is no day
 * @param cautions to be kept in mind
 * @param stills pictures of moments
 */
public record AthleteCard(
        String sentence,
        String athlete,
        String workout,
        String when,
        String score,
        String reached,
        String came,
        String answer,
        String wake,
        List<String> findings,
        List<Split> splits,
        Optional<Plan> plan,
        String day,
        List<String> cautions,
        List<Still> stills) {
    private static final int MOST_FINDINGS = 3;
    /** More rows than these in two columns do not fit a page beside the rest. */
    private static final int MOST_ROWS = 44;

    private static final String STYLE = """
            :root{color-scheme:light}
            *{box-sizing:border-box;margin:0}
            body{font:14px/1.4 system-ui,-apple-system,"Segoe UI",Roboto,"Liberation Sans",sans-serif;color:#15242c;background:#f7f5f0;padding:20px}
            main{max-width:760px;margin:0 auto;background:#fff;border:1px solid #d8d2c5;border-radius:6px;padding:24px}
            h1{font-size:20px;font-weight:650}h2{font-size:14px;font-weight:650;margin:16px 0 4px}
            .who{color:#4a5a62}.score{font-size:34px;font-weight:650;line-height:1.1;margin:8px 0 2px;font-variant-numeric:tabular-nums}
            blockquote{border-left:3px solid #15242c;padding-left:12px;font-size:17px;margin-bottom:14px;white-space:pre-line}
            svg{width:100%;height:auto;display:block;margin-top:10px}
            ul{padding-left:18px}li{margin:2px 0}
            .rows{columns:2;column-gap:28px;list-style:none;padding:0;font-size:12.5px;font-variant-numeric:tabular-nums}
            .rows li{display:flex;gap:10px;justify-content:space-between;break-inside:avoid;border-bottom:1px solid #eae5da;padding:1px 0;margin:0}
            .rows b{font-weight:600;white-space:nowrap}
            .rows small{color:#4a5a62;font-size:12px}
            .caution{color:#7a4f0c}
            .stills{display:flex;flex-wrap:wrap;gap:10px;margin-top:10px}
            figure{width:200px}figure img{width:100%;display:block;border-radius:4px}figcaption{font-size:12px;color:#4a5a62}
            footer{margin-top:14px;font-size:12px;color:#4a5a62}
            @media (max-width:560px){body{padding:0}main{border:0;border-radius:0;padding:16px}.rows{columns:1}figure{width:100%}}
            @page{size:A4;margin:10mm}
            @media print{body{background:#fff;padding:0;font-size:11px}main{border:0;padding:0;max-width:none}.score{font-size:26px}
            blockquote{font-size:14px;margin-bottom:8px}h2{margin:8px 0 2px}.rows{columns:3;font-size:9px}.rows small{font-size:9px}svg{max-height:150px}
            .stills{flex-wrap:nowrap}figure{width:150px}figcaption,footer{font-size:9px}}
            """;

    public AthleteCard {
        findings = findings.stream().limit(MOST_FINDINGS).toList();
        splits = List.copyOf(splits);
        cautions = List.copyOf(cautions);
        stills = List.copyOf(stills);
    }

    /**
     * A row of the splits.
     *
     * @param what a movement, or a round
     * @param took how long it took, in words
     * @param clock where the clock stood at its end
     * @param round whether it is a whole round
     */
    public record Split(String what, String took, String clock, boolean round) {}

    /**
     * The next attempt.
     *
     * @param expected what is to be expected, with its range
     * @param changes what is to be done otherwise
     * @param stops place by place
     */
    public record Plan(String expected, List<String> changes, List<Stop> stops) {
        public Plan {
            changes = List.copyOf(changes);
            stops = List.copyOf(stops);
        }
    }

    /**
     * A place of the next attempt.
     *
     * @param what a movement or a round
     * @param how sets, pace and rest in words
     * @param clock where the clock should stand
     * @param latest the latest it may; empty for none
     * @param round whether it ends a round
     */
    public record Stop(String what, String how, String clock, String latest, boolean round) {}

    /**
     * A picture of a moment.
     *
     * @param caption what it shows
     * @param mediaType image/jpeg, image/png or image/webp
     * @param base64 the picture
     */
    public record Still(String caption, String mediaType, String base64) {}

    /** The file. */
    public String html() {
        StringBuilder page = new StringBuilder(
                "<!doctype html>\n<html lang=\"en\"><head><meta charset=\"utf-8\"><meta name=\"viewport\" content=\"width=device-width,initial-scale=1\">");
        page.append(
                "<meta http-equiv=\"Content-Security-Policy\" content=\"default-src 'none'; style-src 'unsafe-inline'; img-src data:\">");
        page.append(element("title", athlete + ", " + workout))
                .append("<style>")
                .append(STYLE)
                .append("</style></head><body><main>");
        if (!sentence.isBlank()) {
            page.append(element("blockquote", sentence.strip()));
        }
        page.append(element("h1", athlete + " · " + workout))
                .append("<p class=\"who\">")
                .append(escaped(when))
                .append("</p>");
        page.append("<p class=\"score\">").append(escaped(score)).append("</p>");
        if (!reached.isEmpty()) {
            page.append("<p class=\"who\">").append(escaped(reached)).append("</p>");
        }
        if (!came.isEmpty()) {
            page.append(element("p", came));
        }
        page.append(element("p", answer));
        page.append(wake);
        list(page, "Biggest time losses", "", findings);
        if (!stills.isEmpty()) {
            page.append("<div class=\"stills\">");
            stills.forEach(still -> page.append("<figure><img alt=\"")
                    .append(escaped(still.caption()))
                    .append("\" src=\"data:")
                    .append(still.mediaType())
                    .append(";base64,")
                    .append(still.base64())
                    .append("\">")
                    .append(element("figcaption", still.caption()))
                    .append("</figure>"));
            page.append("</div>");
        }
        splits(page);
        plan.ifPresent(next -> next(page, next));
        if (!day.isBlank()) {
            page.append(element("h2", "Retest")).append(element("p", day));
        }
        list(page, "Cautions", " class=\"caution\"", cautions);
        page.append("<footer>")
                .append(
                        escaped(
                                "This is coaching math, not medical advice. If something hurts, stop and see a licensed professional. Your gym's and event's rules come first."));
        return page.append("</footer></main></body></html>\n").toString();
    }

    private void splits(StringBuilder page) {
        boolean rounds = splits.size() > MOST_ROWS && splits.stream().anyMatch(Split::round);
        List<Split> shown = splits.stream()
                .filter(split -> split.round() == rounds || splits.size() <= MOST_ROWS)
                .toList();
        if (shown.isEmpty()) {
            return;
        }
        page.append(element("h2", "Splits")).append("<ul class=\"rows\">");
        shown.stream()
                .limit(2 * MOST_ROWS)
                .forEach(split -> page.append("<li>")
                        .append(element("span", split.what()))
                        .append("<span><small>")
                        .append(escaped(split.took()))
                        .append("</small> ")
                        .append(element("b", split.clock()))
                        .append("</span></li>"));
        page.append("</ul>");
    }

    private static void next(StringBuilder page, Plan next) {
        page.append(element("h2", "Next time")).append(element("p", next.expected()));
        if (!next.changes().isEmpty()) {
            page.append(items("", next.changes()));
        }
        boolean rounds =
                next.stops().size() > MOST_ROWS && next.stops().stream().anyMatch(Stop::round);
        page.append("<ul class=\"rows\">");
        next.stops().stream()
                .filter(stop -> !rounds || stop.round())
                .limit(MOST_ROWS)
                .forEach(stop -> page.append("<li><span>")
                        .append(escaped(stop.what()))
                        .append(stop.how().isEmpty() ? "" : " <small>" + escaped(stop.how()) + "</small>")
                        .append("</span><span>")
                        .append(element("b", stop.clock()))
                        .append(stop.latest().isEmpty() ? "" : " <small>latest " + escaped(stop.latest()) + "</small>")
                        .append("</span></li>"));
        page.append("</ul>");
    }

    private static void list(StringBuilder page, String title, String how, List<String> lines) {
        if (!lines.isEmpty()) {
            page.append(element("h2", title)).append(items(how, lines));
        }
    }

    private static String items(String how, List<String> lines) {
        return lines.stream()
                .map(line -> element("li", line))
                .collect(Collectors.joining("", "<ul" + how + ">", "</ul>"));
    }

    private static String element(String name, String words) {
        return "<" + name + ">" + escaped(words) + "</" + name + ">";
    }

    private static String escaped(String words) {
        return StringEscapeUtils.escapeHtml4(words);
    }
}
