package wake.movement;

/** The three kinds of work a functional-fitness workout mixes. */
public enum Modality {
    GYMNASTICS,
    WEIGHTLIFTING,
    MONOSTRUCTURAL
}
