package tallledger.core.family;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import tallledger.core.rules.Rules;

/** A line of a family's list, or several that stay together: its place in the list is its place in the work. */
interface CatalogueLine {

    /** The steps a machine gets of it. */
    List<Step> on(Described machine, Rules rules);

    /** What it is made of. */
    Stream<Template> templates();

    /** Lines that follow each other in more than one family. */
    static CatalogueLine of(CatalogueLine... lines) {
        return new CatalogueLine() {
            @Override
            public List<Step> on(Described machine, Rules rules) {
                return Arrays.stream(lines).flatMap(l -> l.on(machine, rules).stream()).toList();
            }

            @Override
            public Stream<Template> templates() {
                return Arrays.stream(lines).flatMap(CatalogueLine::templates);
            }
        };
    }

    /** Everything of one axis together, so that a lock is opened once. */
    static CatalogueLine eachAxis(Template... templates) {
        return new CatalogueLine() {
            @Override
            public List<Step> on(Described machine, Rules rules) {
                return machine.fitOut().axes().stream()
                        .flatMap(axis -> Arrays.stream(templates).flatMap(t -> t.forAxis(machine, axis, rules).stream())).toList();
            }

            @Override
            public Stream<Template> templates() {
                return Arrays.stream(templates);
            }
        };
    }
}
