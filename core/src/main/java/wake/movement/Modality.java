package wake.movement;

/** The three kinds of work a functional-fitness workout mixes. */
public enum Modality {
    /** The athlete's own weight. */
    BODYWEIGHT,
    /** A bar, dumbbells, kettlebells, balls. */
    WEIGHTS,
    /** The same stroke or step again and again, paced and not counted in sets: ergs, runs, bikes. */
    CYCLIC
}
