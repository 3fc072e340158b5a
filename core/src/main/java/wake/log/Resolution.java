package wake.log;

/**
 * The standard uncertainty of a clock time, by how it was taken.
 *
 * <p>Source: JCGM 100:2008 (GUM), 4.3.7: a reading that may lie anywhere in an interval of width w has u = w/√12;
 * 5.1.2: independent uncertainties add in squares. The tapping figure is an assumption.
 */
public final class Resolution {
    /** Reaction scatter of a key pressed while the recording plays at 1×, in seconds; an assumption. */
    public static final double TAP_SECONDS = 0.10;

    private Resolution() {}

    /** Stepped to by frame: the moment lies somewhere within one frame. */
    public static double ofFrame(double frameSeconds) {
        return frameSeconds / Math.sqrt(12);
    }

    /** Tapped while playing at a speed: reaction scatter grows with the speed of the picture. */
    public static double ofTap(double playbackSpeed) {
        return TAP_SECONDS * playbackSpeed;
    }

    /** Typed to a step of so many seconds: 1 for m:ss, 0.1 for m:ss.d. */
    public static double ofTyped(double stepSeconds) {
        return stepSeconds / Math.sqrt(12);
    }

    /** Of a difference of two times. */
    public static double ofDifference(double u1, double u2) {
        return Math.hypot(u1, u2);
    }
}
