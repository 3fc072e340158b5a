package wake.reading;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import wake.log.Mark;
import wake.log.OwnPart;
import wake.log.SegmentSplit;

/**
 * How often the same was observed in one movement. Cues given and ratings of exertion are none; nothing is said of what it cost.
 *
 * @param text what, as it was first noted
 * @param movement the line it was noted in, its side with it
 * @param times how often
 * @param ofReps how many reps of the line were done; empty where it is not counted in reps
 * @param rounds in which rounds, in order; empty outside of rounds
 */
public record ObservationCount(String text, String movement, int times, OptionalInt ofReps, List<String> rounds) {
    /** Once is the note itself. */
    private static final int FEWEST = 2;

    public ObservationCount {
        rounds = List.copyOf(rounds);
    }

    static List<ObservationCount> of(OwnPart own) {
        Map<List<String>, List<Mark>> same = new LinkedHashMap<>();
        Map<Mark, SegmentSplit> during = new LinkedHashMap<>();
        for (Mark note : own.log().notes()) {
            if (note.isCueGiven() || note.isEffort()) {
                continue;
            }
            during(own, note).ifPresent(split -> {
                during.put(note, split);
                same.computeIfAbsent(
                                List.of(
                                        note.text().strip().toLowerCase(Locale.ROOT),
                                        split.segment().line().name()),
                                first -> new ArrayList<>())
                        .add(note);
            });
        }
        return same.values().stream()
                .filter(notes -> notes.size() >= FEWEST)
                .map(notes -> count(own, notes, during))
                .toList();
    }

    private static Optional<SegmentSplit> during(OwnPart own, Mark note) {
        return own.done().stream()
                .filter(split -> split.arrivalMs() <= note.atMs() && note.atMs() <= split.endMs())
                .findFirst();
    }

    private static ObservationCount count(OwnPart own, List<Mark> notes, Map<Mark, SegmentSplit> during) {
        Set<String> rounds = new LinkedHashSet<>();
        List<SegmentSplit> splits = notes.stream()
                .flatMap(note -> Optional.ofNullable(during.get(note)).stream())
                .toList();
        splits.stream()
                .filter(split -> split.segment().inRounds())
                .forEach(split -> rounds.add(split.segment().lap().numeral()));
        SegmentSplit first = splits.getFirst();
        OptionalInt reps = first.segment().tappable()
                ? OptionalInt.of(own.done().stream()
                        .filter(split ->
                                split.segment().lineIndex() == first.segment().lineIndex())
                        .mapToInt(split -> split.complete() ? split.segment().steps() : split.counted())
                        .sum())
                : OptionalInt.empty();
        return new ObservationCount(
                notes.getFirst().text().strip(),
                first.segment().line().name(),
                notes.size(),
                reps,
                List.copyOf(rounds));
    }
}
