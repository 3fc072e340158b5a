package wake.movement;

/** What a movement loads; two neighbours that load the same thing cost each other. */
public enum Loads {
    PUSH,
    PULL,
    HINGE,
    SQUAT,
    JUMP,
    CARRY,
    TRUNK,
    GRIP,
    ENGINE
}
