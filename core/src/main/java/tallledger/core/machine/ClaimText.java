package tallledger.core.machine;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tallledger.core.family.Family;
import tallledger.core.machine.Claim.Attribute;
import tallledger.core.machine.Claim.Source;
import tallledger.core.motion.Axis;
import tallledger.core.motion.AxisId;
import tallledger.core.reason.Refused;
import tallledger.core.said.Said;
import tallledger.core.said.SaidText;
import tallledger.core.said.Vocabulary;
import tallledger.core.unit.LengthUnit;

/**
 * What people say of a machine, split into claims for a person to check ({@code said} holds the rules). What nothing was taken of stays
 * as it
 * was said, under "other": nothing is lost, nothing is guessed beyond the words.
 *
 * <p>Worked: "24 speeds, 20 to 1600 rpm" are three claims; "travels 30 x 12 x 18 in" three, an axis each; "17 x 60 in" is words only.
 */
public final class ClaimText {

    /** Longer pastes are no description of one machine. */
    public static final int LONGEST = 8_000;

    private ClaimText() {
    }

    /**
     * Split in the order it was said.
     *
     * @param text   as pasted, lines or sentences
     * @param source who says so
     * @param axes   of the machine, in their order: several numbers in one are of the first of them
     * @throws Refused when the text is longer than any description
     */
    public static List<Claim> split(String text, Source source, Family family, LengthUnit unit, List<Axis> axes) {
        if (text.length() > LONGEST) {
            throw Refused.because(MachineReason.CLAIM_TEXT_LONG, text.length(), LONGEST);
        }
        Vocabulary vocabulary = new Vocabulary(kind(family), axes.stream().map(Axis::name).toList(), unit == LengthUnit.INCH,
                source == Source.PLATE);
        List<Claim> claims = new ArrayList<>();
        for (String sentence : SaidText.sentences(text)) {
            SaidText.Split split = SaidText.read(sentence, vocabulary);
            split.things().forEach(said -> claims.add(claim(said, source, unit, axes)));
            split.untaken().forEach(words -> claims.add(other(words, source)));
            few(claims);
        }
        return claims;
    }

    private static void few(List<Claim> claims) {
        if (claims.size() > MachineDescription.MOST_CLAIMS) {
            throw Refused.because(MachineReason.CLAIMS_MANY, claims.size(), MachineDescription.MOST_CLAIMS);
        }
    }

    private static Claim claim(Said said, Source source, LengthUnit unit, List<Axis> axes) {
        Optional<AxisId> axis = axes.stream().filter(a -> a.name().equalsIgnoreCase(said.subject())).map(Axis::id).findFirst();
        try {
            return Claim.checked(Attribute.valueOf(said.topic().name()), shortened(said.value(), Identity.LONGEST), source,
                    shortened(said.words(), Claim.LONGEST_WORDING), axis, unit);
        } catch (Refused notOne) {
            return other(said.words(), source);
        }
    }

    private static Claim other(String words, Source source) {
        return new Claim(Attribute.OTHER, shortened(words, Identity.LONGEST), source, shortened(words, Claim.LONGEST_WORDING));
    }

    private static String shortened(String text, int longest) {
        return text.length() > longest ? text.substring(0, longest) : text;
    }

    private static Vocabulary.Kind kind(Family family) {
        return switch (family) {
            case LATHE -> Vocabulary.Kind.LATHE;
            case KNEE_MILL, HORIZONTAL_MILL, UNIVERSAL_MILL -> Vocabulary.Kind.MILL;
            case RADIAL_DRILL, PEDESTAL_DRILL -> Vocabulary.Kind.DRILL;
            case CYLINDRICAL_GRINDER, ROTARY_TABLE_GRINDER, CENTRELESS_GRINDER -> Vocabulary.Kind.GRINDER;
            case MACHINING_CENTRE -> Vocabulary.Kind.CENTRE;
        };
    }
}
