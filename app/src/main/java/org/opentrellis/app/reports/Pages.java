package org.opentrellis.app.reports;

import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;
import org.thymeleaf.templatemode.TemplateMode;
import org.thymeleaf.templateresolver.ClassLoaderTemplateResolver;

/** Writes pages that need nothing but themselves: their styles and pictures are inside. */
@Component
class Pages {
  private final TemplateEngine engine = new TemplateEngine();

  Pages() {
    ClassLoaderTemplateResolver resolver = new ClassLoaderTemplateResolver();
    resolver.setPrefix("pages/");
    resolver.setSuffix(".html");
    resolver.setTemplateMode(TemplateMode.HTML);
    resolver.setCharacterEncoding("UTF-8");
    engine.setTemplateResolver(resolver);
  }

  String write(String page, Map<String, Object> values) {
    Context context = new Context(Locale.ENGLISH, values);
    context.setVariable("say", new Figures());
    return engine.process(page, context);
  }
}
