package wake.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Page;
import java.util.List;
import java.util.stream.Collectors;

/** What axe-core finds on a page: WCAG 2.2 AA and good practice. */
final class Axe {
    private Axe() {}

    /** Looks by all rules but those left out; in one page, as there is nothing from elsewhere in it; of what is in order nothing is written down. */
    @SuppressWarnings("deprecation")
    static void findsNothing(Page page, String... leftOut) {
        AxeRunOptions options = new AxeRunOptions();
        options.setResultTypes(List.of("violations"));
        options.setIFrames(false);
        AxeBuilder axe = new AxeBuilder(page).setLegacyMode(true).options(options);
        if (leftOut.length > 0) {
            axe.disableRules(List.of(leftOut));
        }
        String found = axe.analyze().getViolations().stream()
                .map(one -> one.getId() + " (" + one.getHelp() + "): "
                        + one.getNodes().stream()
                                .limit(4)
                                .map(node -> node.getTarget() + " " + node.getHtml())
                                .collect(Collectors.joining("\n    ")))
                .collect(Collectors.joining("\n"));
        assertThat(found).isEmpty();
    }
}
