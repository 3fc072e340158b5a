package wake.api.retest;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wake.api.retest.RetestViews.RecordView;
import wake.projection.KindRecord;
import wake.projection.ProjectionRecord;
import wake.review.Calibrations;
import wake.review.Retests;
import wake.store.AthleteStore;
import wake.store.AttemptStore;
import wake.words.RetestWords;

/** How past projections came out, for each athlete and overall. */
@RestController
@RequestMapping("/api/calls")
class ProjectionRecordApi {
    private final AthleteStore athletes;
    private final AttemptStore attempts;
    private final Retests retests;
    private final Calibrations points;

    /** Overall, and for each athlete of whom a projection could be checked. */
    record RecordsView(@Nullable RecordView overall, List<AthleteRecordView> athletes) {}

    /**
     * An athlete's projections.
     *
     * @param kinds how the changes of each kind came out, in a sentence each
     */
    record AthleteRecordView(UUID athleteId, RecordView record, List<String> kinds) {}

    ProjectionRecordApi(AthleteStore athletes, AttemptStore attempts, Retests retests, Calibrations points) {
        this.athletes = athletes;
        this.attempts = attempts;
        this.retests = retests;
        this.points = points;
    }

    @GetMapping
    RecordsView calls() {
        List<AthleteRecordView> each = athletes.all().stream()
                .flatMap(athlete -> of(attempts.of(athlete.id()))
                        .map(record -> new AthleteRecordView(athlete.id(), record, kinds(athlete.id())))
                        .stream())
                .toList();
        return new RecordsView(of(attempts.all()).orElse(null), each);
    }

    private List<String> kinds(UUID athleteId) {
        return KindRecord.of(points.of(athleteId)).stream()
                .map(RetestWords::kind)
                .toList();
    }

    private Optional<RecordView> of(List<AttemptStore.Attempt> some) {
        return ProjectionRecord.of(retests.checked(some)).map(RetestViews::record);
    }
}
