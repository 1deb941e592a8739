package tallledger.web.runsheet;

import java.util.Optional;
import java.util.function.UnaryOperator;
import tallledger.web.cycle.CycleView;

/**
 * What stands beside the form of a record.
 *
 * @param promised what the plate or a claim promises, in words
 * @param cycle    event keys and script of a cycle
 * @param page     where it is done, where that is another screen
 * @param log      a log of it in a few words
 */
public record RecordingView(String promised, Optional<CycleView> cycle, String page, UnaryOperator<String> log) {
}
