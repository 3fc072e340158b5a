package wake.api.card;

import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import wake.api.card.CardApi.CardMomentView;
import wake.api.retest.ProjectionViews;
import wake.api.retest.RetestViews.StopView;
import wake.exchange.AthleteCard;
import wake.exchange.AthleteCard.Plan;
import wake.exchange.AthleteCard.Split;
import wake.exchange.AthleteCard.Still;
import wake.exchange.AthleteCard.Stop;
import wake.exchange.WakePicture;
import wake.log.AttemptLog;
import wake.log.Lift;
import wake.log.SegmentSplit;
import wake.projection.NextAttempt;
import wake.projection.Projection;
import wake.projection.RetestDate;
import wake.reading.Reading;
import wake.review.LiftService;
import wake.review.OpenAttempt;
import wake.review.RetestJson;
import wake.review.Retests;
import wake.store.AttemptStore;
import wake.store.AttemptStore.Attempt;
import wake.units.ClockTime;
import wake.units.Messages;
import wake.words.ChangeWords;
import wake.words.LiftReviewWords;
import wake.words.RetestWords;
import wake.words.ReviewWords;

/** Puts an athlete's card together: of the attempt, and of nobody else. */
@Component
class Cards {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM yyyy", Locale.ENGLISH);
    private static final int MOST_MOMENTS = 3;
    private static final int MOST_CAUTIONS = 4;

    private final Retests retests;
    private final LiftService lifts;
    private final AttemptStore attempts;

    Cards(Retests retests, LiftService lifts, AttemptStore attempts) {
        this.retests = retests;
        this.lifts = lifts;
        this.attempts = attempts;
    }

    /** Moments worth a picture: where the findings lie. */
    List<CardMomentView> moments(OpenAttempt open) {
        return open.reading().findings().stream()
                .flatMap(finding -> finding.moments().stream()
                        .limit(1)
                        .map(moment -> new CardMomentView(
                                ReviewWords.finding(finding, open.log().digits()), moment.fromMs())))
                .limit(MOST_MOMENTS)
                .toList();
    }

    AthleteCard of(OpenAttempt open, List<Still> stills) {
        Attempt attempt = open.attempt();
        AttemptLog log = open.log();
        Reading reading = open.reading();
        boolean lifted = !log.lifts().isEmpty();
        String part = open.part().name();
        String title = open.workout().title() + (part.isEmpty() ? "" : " " + part);
        return new AthleteCard(
                attempts.cardSentence(attempt.id()),
                attempt.athlete(),
                title,
                DAY.format(attempt.doneOn()) + (attempt.division().isEmpty() ? "" : " · " + attempt.division()),
                log.over() || lifted ? log.scoreWords() : "not logged to the end yet",
                log.reached().map(Messages::capital).orElse(""),
                came(open),
                lifted ? LiftReviewWords.headline(lifts.reading(open)) : ReviewWords.headline(reading),
                reading.wake().size() < 2 || reading.compared().nothing() ? "" : WakePicture.svg(reading, title),
                reading.findings().stream()
                        .map(finding -> ReviewWords.finding(finding, log.digits()))
                        .toList(),
                lifted ? liftRows(log) : splits(log, reading),
                lifted || !log.over() ? Optional.empty() : plan(open),
                day(open),
                cautions(open),
                stills);
    }

    private static List<Split> splits(AttemptLog log, Reading reading) {
        Stream<Split> segments = log.splits().stream()
                .filter(split -> split.endSeen() && split.complete())
                .map(split -> split(log, split));
        Stream<Split> rounds = reading.blocks().stream()
                .filter(block -> !block.isInner())
                .flatMap(block -> block.splits().stream())
                .map(round -> new Split(
                        Messages.capital(round.words()),
                        log.digits().span(round.elapsedMs()),
                        ClockTime.of(round.endMs()).toSeconds(),
                        true));
        List<Split> known = new ArrayList<>(segments.toList());
        // Where nobody saw the ends of movements the rounds are all there is.
        rounds.forEach(known::add);
        return known;
    }

    private static Split split(AttemptLog log, SegmentSplit split) {
        return new Split(
                split.segment().place(),
                log.digits().span(split.elapsedMs()),
                ClockTime.of(split.endMs()).toSeconds(),
                false);
    }

    private static List<Split> liftRows(AttemptLog log) {
        List<Split> rows = new ArrayList<>();
        for (Lift lift : log.lifts()) {
            rows.add(new Split(
                    Messages.capital(lift.load().map(Object::toString).orElse("load not logged")),
                    lift.outcome().words(),
                    ClockTime.of(lift.atMs()).toSeconds(),
                    false));
        }
        return rows;
    }

    /** What became of the projection it was set by. */
    private String came(OpenAttempt open) {
        Optional<Retests.Compared> compared = retests.compared(open.attempt());
        return open.log().lifts().isEmpty()
                ? compared.map(Retests.Compared::words).orElse("")
                : compared.flatMap(Retests.Compared::projected)
                        .flatMap(projected -> projected.liftsCame(open.log().score()))
                        .orElse("");
    }

    /** The next attempt, when something is chosen for it; its score is what is to be expected. */
    private Optional<Plan> plan(OpenAttempt open) {
        RetestJson chosen = retests.chosen(open);
        if (chosen.on().isEmpty()) {
            return Optional.empty();
        }
        AttemptLog log = open.log();
        var terms = retests.terms(open, chosen, retests.calibration(open));
        Projection projection = Projection.of(log, chosen.all(), chosen.on(), terms);
        String expected = RetestWords.promised(projection);
        List<String> changes =
                chosen.on().stream().map(new ChangeWords(log.expanded())::text).toList();
        List<Stop> stops =
                NextAttempt.of(log, chosen.on(), terms.fatigueCost(), ProjectionViews.goalOf(log, chosen))
                        .stops()
                        .stream()
                        .map(stop -> stop(log, stop))
                        .toList();
        return Optional.of(new Plan(expected, changes, stops));
    }

    private static Stop stop(AttemptLog log, NextAttempt.Stop stop) {
        StopView view = StopView.of(stop);
        String how = Stream.of(
                        view.sets().isEmpty() ? view.pace() : view.sets(),
                        view.rest().isEmpty() ? "" : "rest " + view.rest())
                .filter(word -> !word.isEmpty())
                .reduce((one, other) -> one + ", " + other)
                .orElse("");
        return new Stop(
                (view.round().isEmpty() ? "" : view.round() + " · ") + view.movement(),
                how,
                view.end(),
                view.latest() == null ? "" : view.latest(),
                log.expanded().endsLap(stop.segment().index()));
    }

    private String day(OpenAttempt open) {
        if (!open.log().over()) {
            return "";
        }
        RetestDate date = retests.date(open);
        return date.blocked().orElseGet(() -> "From " + DAY.format(date.earliest()) + ": " + date.reason());
    }

    private static List<String> cautions(OpenAttempt open) {
        return ProjectionViews.cautions(open.log()).stream()
                .limit(MOST_CAUTIONS)
                .toList();
    }
}
