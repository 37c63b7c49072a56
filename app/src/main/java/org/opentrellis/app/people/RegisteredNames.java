package org.opentrellis.app.people;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.opentrellis.app.storage.AgainIfTaken;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Product;
import org.opentrellis.core.reading.KnownNames;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The names that people, journeys and messages use, each once. */
@Service
@Transactional
public class RegisteredNames {
  private final NameMapper mapper;

  RegisteredNames(NameMapper mapper) {
    this.mapper = mapper;
  }

  /** The number of a name that is there. */
  Optional<Long> find(Name name) {
    return NameKind.of(name).flatMap(kind -> mapper.find(kind, name.value()));
  }

  /** All names by the simple names of their types, as {@link KnownNames} has them. */
  Map<String, List<String>> byKind() {
    return mapper.all().stream()
        .collect(
            Collectors.groupingBy(
                row -> row.kind().type().getSimpleName(),
                Collectors.mapping(NameRow::name, Collectors.toList())));
  }

  /**
   * The number of a name, which is made if it is not there.
   *
   * @throws IllegalArgumentException if the account has no register of such names
   */
  @AgainIfTaken
  public long number(Name name) {
    NameKind kind =
        NameKind.of(name)
            .orElseThrow(() -> new IllegalArgumentException("no register of " + name.getClass()));
    return mapper
        .find(kind, name.value())
        .orElseGet(
            () -> {
              mapper.insert(kind, name.value());
              return mapper.find(kind, name.value()).orElseThrow();
            });
  }

  /** Makes a product, or says of which category it is. */
  public long number(Product product) {
    long number = number(product.name());
    mapper.putInto(number, number(product.category()));
    return number;
  }
}
