package org.opentrellis.app.people;

import java.util.List;
import java.util.stream.Gatherers;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.core.journey.Money;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.sentence.Style;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What people have bought. */
@Service
@Transactional
public class Orders {
  private static final int PIECE = 5_000;

  private final OrderMapper mapper;
  private final RegisteredNames names;

  Orders(OrderMapper mapper, RegisteredNames names) {
    this.mapper = mapper;
    this.names = names;
  }

  /**
   * A product that somebody bought.
   *
   * @param address of a person; of somebody unknown nothing is kept
   * @param at seconds since 1970
   */
  public record Line(String address, long at, ProductName product, long cents) {}

  @Transactional(readOnly = true)
  public boolean none() {
    return mapper.none();
  }

  /** Keeps them, and tells them in the people's stories. */
  public void keep(List<Line> lines) {
    lines.stream().gather(Gatherers.windowFixed(PIECE)).forEach(this::piece);
  }

  private void piece(List<Line> lines) {
    String[] keys = lines.stream().map(line -> TextKey.of(line.address())).toArray(String[]::new);
    Long[] moments = lines.stream().map(Line::at).toArray(Long[]::new);
    mapper.insert(
        keys,
        moments,
        lines.stream().map(line -> names.number(line.product())).toArray(Long[]::new),
        lines.stream().map(Line::cents).toArray(Long[]::new));
    mapper.tell(keys, moments, lines.stream().map(Orders::said).toArray(String[]::new));
  }

  private static String said(Line line) {
    return "Bought %s for %s."
        .formatted(Style.quoted(line.product().value()), new Money(line.cents()).inWords());
  }
}
