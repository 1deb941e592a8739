package tallledger.web.offline;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.View;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import tallledger.core.coverage.Outcome;
import tallledger.core.ledger.CanonicalJson;
import tallledger.core.ledger.Entry;
import tallledger.core.survey.TaskResult;
import tallledger.web.entries.EntryLine;
import tallledger.web.forms.FormInput;
import tallledger.web.forms.SentLaterRequest;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.words.Words;

/**
 * What a device is told of a form that it kept and sends now: its entry and how it was judged, or what was wrong with it, in words instead
 * of a page. The form itself goes the way every form goes.
 */
@Component
class KeptAnswers implements HandlerInterceptor, WebMvcConfigurer {

    private static final String REDIRECT = "redirect:";

    private final SurveyLibrary library;
    private final Words words;

    KeptAnswers(SurveyLibrary library, Words words) {
        this.library = library;
        this.words = words;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).addPathPatterns("/surveys/**");
    }

    @Override
    public void postHandle(HttpServletRequest request, HttpServletResponse response, Object handler, ModelAndView shown) {
        if (shown == null || !SentLaterRequest.is(request)) {
            return;
        }
        boolean written = shown.getViewName() != null && shown.getViewName().startsWith(REDIRECT);
        Map<String, Object> answer = written ? recorded(request) : refused((FormInput) shown.getModel().get("typed"));
        if (!written && response.getStatus() == HttpServletResponse.SC_SERVICE_UNAVAILABLE && takesNothing(request)) {
            // It takes no entry any more: to send it again and again would keep what comes behind it waiting.
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        }
        View told = (model, asked, answers) -> {
            answers.setContentType("application/json;charset=UTF-8");
            answers.getWriter().write(CanonicalJson.write(answer));
        };
        shown.clear();
        shown.setView(told);
    }

    private StoredSurvey survey(HttpServletRequest request) {
        Map<?, ?> path = (Map<?, ?>) request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE);
        return library.survey(Long.parseLong((String) path.get("id")));
    }

    private boolean takesNothing(HttpServletRequest request) {
        StoredSurvey survey = survey(request);
        return survey.core().closed().isPresent() || survey.own().isPresent();
    }

    private Map<String, Object> recorded(HttpServletRequest request) {
        Entry entry = (Entry) request.getAttribute(SentLaterRequest.RECORDED);
        StoredSurvey survey = survey(request);
        Map<String, Object> answer = new HashMap<>();
        answer.put("head", survey.head());
        Optional.ofNullable(entry).ifPresent(e -> {
            answer.put("entry", e.sequence());
            answer.put("says", EntryLine.of(survey, List.of(e), words).get(0).says());
            survey.core().made().stream().filter(m -> m.entry() == e.sequence()).findFirst().ifPresent(m -> judged(m, answer));
        });
        return answer;
    }

    private void judged(TaskResult made, Map<String, Object> answer) {
        answer.put("outcome", words.of(made.outcome()));
        answer.put("failed", made.outcome() == Outcome.FAILED);
    }

    private Map<String, Object> refused(FormInput typed) {
        return Map.of("wrong", typed == null ? List.of() : typed.errors().values().stream().map(words::say).toList());
    }
}
