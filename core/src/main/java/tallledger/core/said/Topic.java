package tallledger.core.said;

/** What a thing said is about. */
public enum Topic {
    SPEED_COUNT, SPEED_LIST, SPEED, SLOWEST_SPEED, FASTEST_SPEED, SPEEDS_WORK, REVERSES,
    FEED_COUNT, SLOWEST_FEED, FASTEST_FEED, THREAD_COUNT,
    TRAVEL, TABLE_SIZE, WHEEL_SIZE, SWING, GAP_SWING, SLIDE_SWING, BETWEEN_CENTRES, UNDER_SPINDLE, ARM_RADIUS, THROAT, BORE, CHUCK_SIZE,
    REST_SIZE,
    DRILLING_CAPACITY, TAPER, RATIO,
    MOTOR_POWER, DRIVE_RATING, SUPPLY, WEIGHT, HOURS, YEAR,
    COLLETS, KIT_COUNT, FUNCTION, NEARLY_ALL_RUN,
    ACCURACY, NO_BACKLASH, REBUILT_BY, WAYS, SCREWS, SERVICED, REDONE, FROM_STORAGE,
    /** Praise of the whole or of a part: kept as words. */
    CONDITION,
    /** Something missing, broken, worn or awaited, said by whom it does not suit. */
    ADMISSION,
    /** Words of which nothing was taken. */
    OTHER
}
