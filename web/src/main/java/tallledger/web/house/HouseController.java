package tallledger.web.house;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.blame.Chances;
import tallledger.core.coverage.ColdSpindle;
import tallledger.core.coverage.HouseTimes;
import tallledger.core.gauge.HouseLimits;
import tallledger.core.gauge.Limit;
import tallledger.core.motion.FeedReading;
import tallledger.core.motion.Trips;
import tallledger.core.reason.Reason;
import tallledger.web.forms.Typed;
import tallledger.web.forms.Writer;
import tallledger.web.record.MovedOn;
import tallledger.web.record.NotKept;
import tallledger.web.record.Submission;

/** The House: the judgement numbers everything is reckoned with, and the table of checks, open to change. */
@Controller
@RequestMapping("/house")
class HouseController {

    private final HouseTables tables;
    private final Writer writer;

    HouseController(HouseTables tables, Writer writer) {
        this.tables = tables;
        this.writer = writer;
    }

    @GetMapping
    String show(Model model, HttpServletRequest request) {
        Typed typed = Typed.blank();
        typed.set("csv", tables.csv());
        typed.set("author", writer.known(request).orElse(""));
        return page(model, typed, Submission.fresh(tables.head()));
    }

    @PostMapping("/checks")
    String save(@RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        Typed typed = Typed.of(fields);
        Submission submission = new Submission(typed.get("submission"), typed.wholeOr("seen", 0));
        if (!typed.has("author")) {
            typed.refuse("author", Reason.of("author.missing"));
        }
        try {
            if (typed.isClean()) {
                typed.attempt("csv", () -> {
                    tables.save(typed.get("csv"), typed.get("author"), submission);
                    return true;
                });
            }
            if (typed.isClean()) {
                writer.remember(response, typed.get("author"), submission);
                return "redirect:/house";
            }
            response.setStatus(422);
            return page(model, typed, submission);
        } catch (MovedOn moved) {
            response.setStatus(409);
            typed.refuse("csv", Reason.of("house.moved-on"));
            return page(model, typed, new Submission(submission.key(), moved.head()));
        } catch (NotKept not) {
            response.setStatus(503);
            typed.refuse("csv", not.reason());
            return page(model, typed, submission);
        }
    }

    private String page(Model model, Typed typed, Submission submission) {
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        model.addAttribute("times", HouseTimes.HOUSE);
        model.addAttribute("chances", Chances.HOUSE);
        model.addAttribute("tolerance", Limit.HOUSE_SPEED_TOLERANCE.movePointRight(2).stripTrailingZeros());
        model.addAttribute("limits", HouseLimits.all());
        model.addAttribute("feedTolerance", FeedReading.FEED_TOLERANCE.movePointRight(2).stripTrailingZeros());
        model.addAttribute("rapidTolerance", FeedReading.RAPID_TOLERANCE.movePointRight(2).stripTrailingZeros());
        model.addAttribute("trips", Trips.LIMIT.sound());
        model.addAttribute("coldStep", ColdSpindle.MOST_STEP);
        model.addAttribute("checks", tables.checks());
        model.addAttribute("history", tables.history());
        return "house/house";
    }
}
