package tallledger.web.house;

import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import tallledger.core.rules.Rule;
import tallledger.web.words.Words;

/**
 * Numbers of the house that stand together.
 *
 * @param rules   those shown
 * @param changed how many of them this house judges otherwise than it ships
 */
public record RuleGroup(Rule.Group group, List<Rule> rules, long changed) {

    private static final int LONGEST = 100;

    public RuleGroup {
        rules = List.copyOf(rules);
    }

    /** Those of whose name, source or part every word looked for is a piece; all where nothing is looked for. */
    RuleGroup holding(String find, Words words) {
        String looked = find.length() > LONGEST ? find.substring(0, LONGEST) : find;
        List<String> pieces = Stream.of(looked.toLowerCase(Locale.ENGLISH).split("\\s")).filter(p -> !p.isBlank()).toList();
        return new RuleGroup(group, rules.stream().filter(r -> {
            String all = String.join(" ", words.say("rule." + r), words.say("rule." + r + ".source"), words.say("rule-group." + group))
                    .toLowerCase(Locale.ENGLISH);
            return pieces.stream().allMatch(all::contains);
        }).toList(), changed);
    }
}
