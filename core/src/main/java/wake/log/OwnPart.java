package wake.log;

import java.util.List;

/**
 * What of an attempt the athlete did: all of it, but for the rounds of a partner where two share the work. Whatever is said of the athlete is
 * taken from this.
 *
 * @param log the whole attempt
 * @param done the athlete's splits as far as they count, in order
 */
public record OwnPart(AttemptLog log, List<SegmentSplit> done) {
    public OwnPart {
        done = List.copyOf(done);
    }

    static OwnPart of(AttemptLog log) {
        return new OwnPart(
                log,
                log.done().stream()
                        .filter(split -> !split.segment().isPartners())
                        .toList());
    }
}
