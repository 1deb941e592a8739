package tallledger.web.config;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.web.App;
import tallledger.web.Http;

class LookControllerTest {

    @ParameterizedTest
    @CsvSource({"http://localhost:8080/surveys/3/run?step=nose, /surveys/3/run?step=nose",
            "https://elsewhere.example//evil.example/x, /evil.example/x",
            "http://localhost:8080, /", "'', /", "not an address, /", "//evil.example, /"})
    void itLeadsBackToAPageOfOurs(String from, String to) {
        assertThat(LookController.page(from)).isEqualTo(to);
    }

    private static String page(Http http) {
        return http.get("/house").body().replaceAll("\\s+", " ");
    }

    @Test
    void aScreenKeepsItsLook() {
        Http http = new Http(App.demo());
        assertThat(page(http)).contains("<html lang=\"en\">", "value=\"system\" aria-pressed=\"true\"");
        Map<String, String> form = http.form("/house", "/screen");
        HttpResponse<String> chosen = http.post("/screen", form, "look", "dark");
        assertThat(chosen.statusCode()).isEqualTo(302);
        assertThat(page(http)).contains("data-look=\"dark\"", "data-theme=\"dark\"", "value=\"dark\" aria-pressed=\"true\"");
        http.post("/screen", form, "look", "<b>");
        assertThat(page(http)).as("none that there is: as the system").contains("<html lang=\"en\">");
        http.post("/screen", form, "look", "strong");
        assertThat(page(http)).contains("data-look=\"strong\"", "data-theme=\"light\"");
    }
}
