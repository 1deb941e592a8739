package tallledger.web.config;

import jakarta.servlet.DispatcherType;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.resource.ResourceUrlEncodingFilter;
import org.springframework.web.servlet.resource.ResourceUrlProvider;

/**
 * Addresses of styles and scripts with the hash of their content in the name, so that a browser may keep them and still gets a newer
 * one at once. Looked up once each. Spring's own way tries every link of every page as such a file inside the packed
 * application, which took four fifths of a page's time; its filter is off.
 */
@Component("assets")
public class Assets {

    private final ResourceUrlProvider resources;
    private final Map<String, String> addresses = new ConcurrentHashMap<>();

    Assets(ResourceUrlProvider resources) {
        this.resources = resources;
    }

    public String of(String path) {
        return addresses.computeIfAbsent(path, p -> Optional.ofNullable(resources.getForLookupPath(p)).orElse(p));
    }

    /** Takes the filter that tries every link out of the chain. */
    @Configuration
    static class NoLinkIsTried {

        @Bean
        FilterRegistrationBean<ResourceUrlEncodingFilter> resourceUrlEncodingFilter() {
            FilterRegistrationBean<ResourceUrlEncodingFilter> off = new FilterRegistrationBean<>(new ResourceUrlEncodingFilter());
            off.setDispatcherTypes(DispatcherType.REQUEST);
            off.setEnabled(false);
            return off;
        }
    }
}
