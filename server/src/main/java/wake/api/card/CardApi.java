package wake.api.card;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wake.api.Downloads;
import wake.api.InvalidRequest;
import wake.exchange.AthleteCard;
import wake.exchange.AthleteCard.Still;
import wake.review.OpenAttempt;
import wake.review.Reviews;
import wake.store.AttemptStore;

/** The athlete's card: the coach's own sentence, and the page as a file. */
@RestController
@RequestMapping("/api/attempts/{id}/card")
class CardApi {
    private static final int MOST_STILLS = 3;
    private static final int LONGEST_STILL = 90_000;

    private final Reviews reviews;
    private final Cards cards;
    private final AttemptStore attempts;

    /**
     * What is on the card.
     *
     * @param sentence the coach's own words
     * @param moments of which stills can be put on it
     * @param html the card without them, as it will be handed over
     */
    record CardView(String sentence, List<CardMomentView> moments, String html) {}

    /** A moment at a clock of the attempt, and what it shows. */
    record CardMomentView(String caption, long fromMs) {}

    record SentenceRequest(
            @NotNull @Size(max = 1000, message = "must be 1000 characters at most")
            String sentence) {}

    record CardRequest(@NotNull @Size(max = MOST_STILLS) List<@Valid StillRequest> stills) {}

    /** A picture of a moment, as base64. */
    record StillRequest(
            @NotNull @Size(max = 400) String caption,

            @NotNull @Pattern(regexp = "image/(jpeg|png|webp)", message = "must be image/jpeg, image/png or image/webp")
            String mediaType,

            @NotNull
            @Size(max = LONGEST_STILL, message = "must be 90000 characters at most")
            @Pattern(regexp = "[A-Za-z0-9+/]+={0,2}", message = "must be base64")
            String base64) {
        Still still() {
            return new Still(caption, mediaType, base64);
        }
    }

    CardApi(Reviews reviews, Cards cards, AttemptStore attempts) {
        this.reviews = reviews;
        this.cards = cards;
        this.attempts = attempts;
    }

    @GetMapping
    CardView card(@PathVariable UUID id) {
        OpenAttempt open = reviews.open(id);
        return new CardView(
                attempts.cardSentence(id),
                cards.moments(open),
                cards.of(open, List.of()).html());
    }

    /** Keeps the coach's own words. */
    @PutMapping
    @Transactional
    public CardView sentence(@PathVariable UUID id, @Valid @RequestBody SentenceRequest request) {
        reviews.open(id);
        attempts.putCardSentence(id, request.sentence().strip());
        return card(id);
    }

    /** The card as one file of HTML, with stills of moments. */
    @PostMapping(value = "/file", produces = "text/html")
    ResponseEntity<String> file(@PathVariable UUID id, @Valid @RequestBody CardRequest request) {
        OpenAttempt open = reviews.open(id);
        if (!open.log().over()) {
            throw new InvalidRequest("id", "Finish the log before making a card.");
        }
        AthleteCard card = cards.of(
                open, request.stills().stream().map(StillRequest::still).toList());
        String name = open.attempt().athlete() + ", " + open.workout().title() + ", "
                + open.attempt().doneOn() + ".html";
        return Downloads.file(name, "text/html", card.html());
    }
}
