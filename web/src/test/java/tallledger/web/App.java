package tallledger.web;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;

/** The application started for tests on a free port, with a store of its own. */
public final class App implements AutoCloseable {

    private static App demo;

    private final ConfigurableApplicationContext context;

    private App(boolean withDemo) {
        try {
            Path data = Files.createTempDirectory("tall-ledger-test");
            context = SpringApplication.run(TallLedger.class, "--server.port=0", "--tallledger.data=" + data,
                    "--tallledger.demo=" + withDemo);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    public static App empty() {
        return new App(false);
    }

    /** One application with the demo data, shared by the tests that only add to it. */
    public static synchronized App demo() {
        if (demo == null) {
            demo = new App(true);
        }
        return demo;
    }

    public String url(String path) {
        return "http://localhost:" + ((WebServerApplicationContext) context).getWebServer().getPort() + path;
    }

    public <T> T bean(Class<T> type) {
        return context.getBean(type);
    }

    @Override
    public void close() {
        context.close();
    }
}
