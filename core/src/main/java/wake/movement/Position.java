package wake.movement;

/** Where the athlete and the load are when a rep starts or ends. */
public enum Position {
    FLOOR,
    HIP,
    RACK,
    BACK,
    OVERHEAD,
    HANG,
    WALL,
    SEAT,
    STANDING,
    ON_BOX
}
