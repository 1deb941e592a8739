package tallledger.core.seal;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * What a key is known by: the SHA-256 of its 32 bytes, and its first ten bytes as words of one list of 256, to be read out over a
 * telephone.
 *
 * @param hex 64 lower-case digits
 */
public record Fingerprint(String hex) {

    /** As many words as two people read to each other without losing their place: 80 bits. */
    private static final int SPOKEN = 10;
    private static final Pattern WRITTEN = Pattern.compile("[0-9a-f]{64}");

    private static final List<String> WORDS = List
            .of(("acorn adze alder amber anchor anvil apple apron arbor arch arrow ash aspen awl axle badge"
                    + " bale balm band bank barge bark barn barrel basin batten beacon beam bean bell bench berry"
                    + " birch blade bloom bolt bond bone boot border bottle boulder bow bowl bracket braid bramble branch"
                    + " brass bread brick bridge bristle brook broom brush bucket buckle bulb burr button cabin cable calm"
                    + " candle canoe canvas cape cart cask cedar cellar chain chalk chant chart cherry chest chisel cider"
                    + " cinder circle clamp clay cliff cloak clock cloud clover coal coast cobble coil collar comb cone"
                    + " copper coral cord cork corn cotton cradle crane crate creek crest crook crown cup curl dale"
                    + " dawn deck dial ditch dock dome door dove dowel drum dune dust eagle ear earth east"
                    + " ebb echo edge elbow elder elm ember engine fawn feather felt fence fern ferry field fig"
                    + " file finch fir flag flame flask flax fleece flint flour flute foam fog fold forge fork"
                    + " fort fox frame frost funnel furrow gable garden gate gauge gear ginger glass glove gorge grain"
                    + " grape gravel grove gull gust hail hammer handle harbor hare harp hatch hawk hay hazel heath"
                    + " hedge helm hem heron hinge hive holly honey hood hook horn hub husk inlet iris iron"
                    + " island ivory ivy jar jetty jewel joint juniper keel kettle key kiln knot ladder lake lamp"
                    + " lantern larch lark lathe latch leaf ledge lemon lever lilac limb lime linen lintel loaf lock"
                    + " loft loom lynx maple marble meadow mill mint mole moss moth nail nest oak oar otter").split(" "));

    /** As an entry names it; empty where that is none. */
    public static Optional<Fingerprint> read(String hex) {
        return WRITTEN.matcher(hex).matches() ? Optional.of(new Fingerprint(hex)) : Optional.empty();
    }

    /** @param publicKey the 32 bytes of an Ed25519 key */
    public static Fingerprint of(byte[] publicKey) {
        try {
            return new Fingerprint(HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(publicKey)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

    /** Ten words, one a byte. */
    public String words() {
        byte[] bytes = HexFormat.of().parseHex(hex);
        return IntStream.range(0, SPOKEN).mapToObj(i -> WORDS.get(bytes[i] & 0xff)).collect(Collectors.joining(" "));
    }

    /** The list, for the page that checks without Java. */
    public static List<String> list() {
        return WORDS;
    }
}
