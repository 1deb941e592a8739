package tallledger.core.sound;

import java.util.List;
import tallledger.core.drive.Turning;
import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;
import tallledger.core.sound.SoundAnalysis.SoundsLike;

/** Why, as this package says it: each with the names of what stands in its sentence. */
public enum SoundReason implements ReasonCode {
    NO_WAV("sound.no-wav"),
    NO_FORMAT("sound.no-format"),
    NO_SAMPLES("sound.no-samples"),
    CODING("sound.coding", "code"),
    BITS("sound.bits", "bits"),
    CHANNELS("sound.channels", "channels", "most"),
    RATE("sound.rate", "hertz", "least", "most"),
    SHORT("sound.short", "seconds", "least"),
    LONG("sound.long", "seconds", "most"),
    NOT_A_NUMBER("sound.not-a-number", "second"),
    CUT_SHORT("sound.cut-short", "told", "there"),
    MIXED_DOWN("sound.mixed-down", "channels"),
    SILENT("sound.silent"),
    CLIPPED("sound.clipped", "share", "most"),
    QUIET("sound.quiet", "level"),
    OVER_ROOM("sound.over-room", "over", "least"),
    /** What comes round. */
    TURNS(List.of(Turning.Kind.values()), "sound.turns", "stage", "pair"),
    TIMES("sound.times", "what", "times"),
    BESIDE("sound.beside", "turns", "shaft", "mesh", "times"),
    LIKE(List.of(SoundsLike.values()), "sound.like", "crest", "overall"),
    KNOCKS("sound.knocks", "shaft", "hertz", "likeness", "least"),
    KNOCKS_NOT("sound.knocks-not"),
    SPEED_HEARD("sound.speed-heard", "rpm", "expanded", "orders"),
    SPEED_AGREES("sound.speed-agrees", "rpm", "read", "readExpanded"),
    SPEED_DISAGREES("sound.speed-disagrees", "rpm", "read", "readExpanded"),
    SPEED_NOT("sound.speed-not"),
    MESH_LIKELY("sound.mesh-likely", "stage"),
    MESH_BETWEEN("sound.mesh-between", "stage", "lowest", "highest", "lowestHertz", "highestHertz"),
    BELT("sound.belt", "stage", "hertz"),
    EVEN("sound.even", "quietest", "quietestAt", "loudest", "loudestAt", "most"),
    UNEVEN("sound.uneven", "quietest", "quietestAt", "loudest", "loudestAt", "most");

    private final Sentence sentence;

    SoundReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    SoundReason(List<Enum<?>> row, String code, String... arguments) {
        sentence = Sentence.row(row, code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
