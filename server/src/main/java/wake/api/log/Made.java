package wake.api.log;

import wake.log.Resolution;

/** How a time was taken; the step that goes with it says how finely. */
public enum Made {
    /** By a key while playing; the step is the playback speed. */
    TAPPED,
    /** Stepped to by frame; the step is the frame's length in seconds. */
    STEPPED,
    /** Typed; the step is 1 for whole seconds, 0.1 for tenths. */
    TYPED;

    public double uncertaintyS(double step) {
        return switch (this) {
            case TAPPED -> Resolution.ofTap(step);
            case STEPPED -> Resolution.ofFrame(step);
            case TYPED -> Resolution.ofTyped(step);
        };
    }
}
