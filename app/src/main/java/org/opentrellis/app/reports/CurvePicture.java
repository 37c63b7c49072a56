package org.opentrellis.app.reports;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.opentrellis.core.measure.Curve;

/**
 * Curves by day as the paths of a picture, {@value #WIDTH} by {@value #HEIGHT}.
 *
 * @param lines a path for each curve
 * @param bands the outline of each curve's 95% band
 * @param days the last day
 * @param ticks the marks of the upright axis
 */
record CurvePicture(List<String> lines, List<String> bands, int days, List<Tick> ticks) {
  static final int WIDTH = 720;
  static final int HEIGHT = 220;

  /**
   * @param y where it stands
   */
  record Tick(String label, double y) {}

  static CurvePicture of(List<Curve> curves) {
    int days = curves.stream().mapToInt(curve -> curve.points().size() - 1).max().orElse(1);
    double most =
        curves.stream()
            .flatMap(curve -> curve.points().stream())
            .mapToDouble(Curve.CurvePoint::high)
            .max()
            .orElse(0);
    double step =
        most > 0.5 ? 0.2 : most > 0.2 ? 0.1 : most > 0.1 ? 0.05 : most > 0.02 ? 0.02 : 0.01;
    double top = Math.max(step, Math.ceil(most / step) * step);
    List<String> lines = new ArrayList<>();
    List<String> bands = new ArrayList<>();
    for (Curve curve : curves) {
      StringBuilder line = new StringBuilder();
      StringBuilder above = new StringBuilder();
      StringBuilder below = new StringBuilder();
      for (Curve.CurvePoint point : curve.points()) {
        double x = (double) WIDTH * point.day() / Math.max(1, days);
        line.append(at(line, x, point.value(), top));
        above.append(at(above, x, point.high(), top));
        below.insert(0, at(new StringBuilder("L"), x, point.low(), top));
      }
      lines.add(line.toString());
      bands.add(above + below.toString() + "Z");
    }
    List<Tick> ticks = new ArrayList<>();
    for (int i = 0; i * step <= top + 1e-9; i++) {
      ticks.add(
          new Tick(
              String.format(Locale.ROOT, "%.0f%%", 100 * i * step),
              HEIGHT - HEIGHT * i * step / top));
    }
    return new CurvePicture(lines, bands, days, ticks);
  }

  private static String at(StringBuilder before, double x, double share, double top) {
    String letter = before.isEmpty() ? "M" : "L";
    return String.format(Locale.ROOT, "%s%.1f %.1f", letter, x, HEIGHT - HEIGHT * share / top);
  }
}
