package org.opentrellis.app.reports;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.Locale;
import java.util.Map;
import org.opentrellis.app.http.Templates;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Component;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;

/** Writes pages that need nothing but themselves: their styles and pictures are inside. */
@Component
class Pages {
  /** By family, what its files are called. */
  private static final Map<String, String> FONTS =
      Map.of(
          "Instrument Sans", "instrument-sans",
          "Bricolage Grotesque", "bricolage-grotesque",
          "Spline Sans Mono", "spline-sans-mono");

  private final TemplateEngine engine = Templates.in("pages");
  private final String tokens = tokens();
  private final String fonts = fonts();

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

  /** The type of the screens, inside the page; without the front end there is none. */
  private static String fonts() {
    try {
      StringBuilder faces = new StringBuilder();
      for (Map.Entry<String, String> font : FONTS.entrySet()) {
        String files = "classpath*:static/assets/" + font.getValue() + "-latin-wght-normal-*.woff2";
        for (Resource file : new PathMatchingResourcePatternResolver().getResources(files)) {
          faces.append(
              "@font-face{font-family:\"%s Variable\";font-weight:200 800;src:url(data:font/woff2;base64,%s) format(\"woff2\")}"
                  .formatted(
                      font.getKey(),
                      Base64.getEncoder().encodeToString(file.getContentAsByteArray())));
        }
      }
      return faces.toString();
    } catch (IOException unreadable) {
      throw new UncheckedIOException(unreadable);
    }
  }

  String write(String page, Map<String, Object> values) {
    Context context = new Context(Locale.ENGLISH, values);
    context.setVariable("say", new Figures());
    context.setVariable("tokens", tokens);
    context.setVariable("fonts", fonts);
    return engine.process(page, context);
  }
}
