package tallledger.web.config;

import java.io.IOException;
import java.time.Duration;
import java.util.Arrays;
import java.util.Comparator;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.http.CacheControl;
import org.springframework.util.DigestUtils;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.VersionResourceResolver;

/**
 * The pages' scripts are modules that name one another by where they lie. So all of them share one folder in their addresses, named by what
 * they hold together: a browser keeps them, and none of a newer build meets one of an older. An import map would have to stand in the page,
 * and the policy lets no script stand there.
 */
@Configuration
class Scripts implements WebMvcConfigurer {

    private static final Duration KEPT = Duration.ofDays(7);

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/js/**").addResourceLocations("classpath:/static/js/")
                .setCacheControl(CacheControl.maxAge(KEPT)).resourceChain(true)
                .addResolver(new VersionResourceResolver().addFixedVersionStrategy(version(), "/**"));
    }

    private static String version() {
        try {
            Resource[] scripts = new PathMatchingResourcePatternResolver().getResources("classpath:/static/js/*.js");
            Arrays.sort(scripts, Comparator.comparing(Resource::getFilename));
            StringBuilder all = new StringBuilder();
            for (Resource script : scripts) {
                all.append(DigestUtils.md5DigestAsHex(script.getContentAsByteArray()));
            }
            return DigestUtils.md5DigestAsHex(all.toString().getBytes(java.nio.charset.StandardCharsets.US_ASCII));
        } catch (IOException lost) {
            throw new IllegalStateException("the scripts are not where the build put them", lost);
        }
    }
}
