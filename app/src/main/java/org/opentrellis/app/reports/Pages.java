package org.opentrellis.app.reports;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Map;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;
import org.thymeleaf.templatemode.TemplateMode;
import org.thymeleaf.templateresolver.ClassLoaderTemplateResolver;

/** Writes pages that need nothing but themselves: their styles and pictures are inside. */
@Component
class Pages {
  private final TemplateEngine engine = new TemplateEngine();
  private final String tokens = tokens();

  Pages() {
    ClassLoaderTemplateResolver resolver = new ClassLoaderTemplateResolver();
    resolver.setPrefix("pages/");
    resolver.setSuffix(".html");
    resolver.setTemplateMode(TemplateMode.HTML);
    resolver.setCharacterEncoding("UTF-8");
    engine.setTemplateResolver(resolver);
  }

  /** The colours of the screens, as a page by itself can use them. */
  private static String tokens() {
    try {
      return new ClassPathResource("pages/tokens.css")
          .getContentAsString(StandardCharsets.UTF_8)
          .replaceAll("(?s)/\\*.*?\\*/", "")
          .replaceFirst("@theme[^{]*", ":root ")
          .replaceAll("\\s*\\n\\s*", " ");
    } catch (IOException missing) {
      throw new UncheckedIOException(missing);
    }
  }

  String write(String page, Map<String, Object> values) {
    Context context = new Context(Locale.ENGLISH, values);
    context.setVariable("say", new Figures());
    context.setVariable("tokens", tokens);
    return engine.process(page, context);
  }
}
