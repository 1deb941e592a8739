package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

/**
 * The drawing of core's packages in {@code docs/packages.svg}, made from the code: a package stands a floor above the highest it uses, and
 * lines run to those that it uses and reaches no other way. What it should be is left in {@code web/target/packages.svg}.
 */
class PackagesDrawnTest {

    private static final int WIDE = 104;
    private static final int ACROSS = 120;
    private static final int UP = 58;
    private static final String ROOT = "tallledger.core.";

    private static Map<String, Set<String>> uses() {
        Map<String, Set<String>> uses = new TreeMap<>();
        for (JavaClass c : OwnClasses.ALL) {
            if (!c.getPackageName().startsWith(ROOT)) {
                continue;
            }
            String from = c.getPackageName().replace(ROOT, "");
            c.getDirectDependenciesFromSelf().stream().map(d -> d.getTargetClass().getPackageName()).filter(p -> p.startsWith(ROOT))
                    .map(p -> p.replace(ROOT, "")).filter(to -> !to.equals(from))
                    .forEach(to -> uses.computeIfAbsent(from, f -> new TreeSet<>()).add(to));
            uses.computeIfAbsent(from, f -> new TreeSet<>());
        }
        return uses;
    }

    private static int floor(String name, Map<String, Set<String>> uses) {
        return uses.get(name).stream().mapToInt(u -> 1 + floor(u, uses)).max().orElse(0);
    }

    private static boolean reaches(String from, String to, Map<String, Set<String>> uses) {
        return uses.get(from).stream().anyMatch(u -> u.equals(to) || reaches(u, to, uses));
    }

    private static String drawn(Map<String, Set<String>> uses) {
        Map<Integer, List<String>> floors = new TreeMap<>();
        uses.keySet().forEach(n -> floors.computeIfAbsent(floor(n, uses), f -> new ArrayList<>()).add(n));
        int top = floors.keySet().stream().max(Integer::compare).orElse(0);
        Map<String, int[]> places = new TreeMap<>();
        int widest = floors.values().stream().mapToInt(List::size).max().orElse(0);
        floors.forEach((f, names) -> names.forEach(n -> places.put(n, new int[] {
                20 + ACROSS * names.indexOf(n) + ACROSS * (widest - names.size()) / 2, 16 + UP * (top - f)})));
        int width = widest * ACROSS + 24;
        StringBuilder svg = new StringBuilder("<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 " + width + " "
                + (UP * (top + 1) + 10)
                + "\" role=\"img\" aria-label=\"Packages of core, each above what it uses\" font-family=\"sans-serif\" font-size=\"13\">\n"
                + "<rect width=\"100%\" height=\"100%\" fill=\"#fff\"/>\n");
        uses.forEach((from, all) -> all.stream().filter(to -> all.stream().noneMatch(o -> !o.equals(to) && reaches(o, to, uses)))
                .forEach(to -> svg.append("<line x1=\"").append(places.get(from)[0] + WIDE / 2).append("\" y1=\"")
                        .append(places.get(from)[1] + 26).append("\" x2=\"").append(places.get(to)[0] + WIDE / 2).append("\" y2=\"")
                        .append(places.get(to)[1]).append("\" stroke=\"#9aa7b0\"/>\n")));
        places.forEach((name, at) -> svg.append("<rect x=\"").append(at[0]).append("\" y=\"").append(at[1]).append("\" width=\"")
                .append(WIDE)
                .append("\" height=\"26\" fill=\"#f3f1ea\" stroke=\"#1f2a33\"/><text x=\"").append(at[0] + WIDE / 2).append("\" y=\"")
                .append(at[1] + 18).append("\" text-anchor=\"middle\" fill=\"#1f2a33\">").append(name).append("</text>\n"));
        return svg.append("</svg>\n").toString();
    }

    @Test
    void theDrawingShowsThePackagesAsTheyAre() throws IOException {
        String drawn = drawn(uses());
        Files.writeString(Path.of("target/packages.svg"), drawn);
        assertThat(Path.of("../docs/packages.svg")).content().isEqualTo(drawn);
    }
}
