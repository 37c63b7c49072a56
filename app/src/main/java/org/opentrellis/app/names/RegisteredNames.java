package org.opentrellis.app.names;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.opentrellis.app.storage.AgainIfTaken;
import org.opentrellis.core.journey.CategoryName;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.Product;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.people.FieldType;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.reading.KnownNames;
import org.opentrellis.core.sentence.Style;
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
  public Optional<Long> find(Name name) {
    return NameKind.of(name).flatMap(kind -> mapper.find(kind, name.value()));
  }

  /** All names by the simple names of their types, as {@link KnownNames} has them. */
  public Map<String, List<String>> byKind() {
    return mapper.all().stream()
        .collect(
            Collectors.groupingBy(
                row -> row.kind().type().getSimpleName(),
                Collectors.mapping(ListedName::name, Collectors.toList())));
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

  /**
   * A value of a field, by the field's type. One that has none yet gets the type that the value
   * looks like.
   *
   * @return empty if nothing is typed
   * @throws Refused if the field holds other values
   */
  @Transactional(readOnly = true, noRollbackFor = Refused.class)
  public Optional<Operand> read(FieldName field, String typed) {
    NamedField row = mapper.field(field.value()).orElse(new NamedField(field.value(), null, null));
    FieldType type = row.fieldType() == null ? FieldType.of(typed) : row.fieldType();
    try {
      return type.read(typed, row.mayBe());
    } catch (Refused refused) {
      throw new Refused(
          refused.code(),
          "field %s holds %s: %s"
              .formatted(Style.quoted(field.value()), type.words(), refused.getMessage()));
    }
  }

  /** The number of a field that is filled in, which has a type from then on. */
  public long number(FieldName field, Operand value) {
    long number = number(field);
    if (mapper.field(field.value()).map(NamedField::fieldType).isEmpty()) {
      mapper.giveType(number, FieldType.of(value));
    }
    return number;
  }

  /** What the fields hold that have been filled in. */
  public Map<String, FieldType> fieldTypes() {
    return mapper.fields().stream()
        .filter(one -> one.fieldType() != null)
        .collect(
            Collectors.toMap(NamedField::name, one -> Objects.requireNonNull(one.fieldType())));
  }

  public List<NamedField> fields() {
    return mapper.fields();
  }

  /**
   * The number of a field that is to hold values of a type; it is made if it is not there.
   *
   * @throws Refused if it holds values of another type
   */
  public long number(FieldName field, FieldType type) {
    long number = number(field);
    FieldType had = mapper.field(field.value()).map(NamedField::fieldType).orElse(null);
    if (had == null) {
      mapper.giveType(number, type);
    } else if (had != type) {
      throw new Refused(
          "field %s holds %s, not %s"
              .formatted(Style.quoted(field.value()), had.words(), type.words()));
    }
    return number;
  }

  /** What the shop sells, in alphabetical order. */
  public List<ProductCard> products() {
    return mapper.products();
  }

  /** What the shop sells, with its categories; what has none is in no journey's question. */
  public List<Product> sold() {
    return mapper.sold().stream()
        .map(row -> new Product(new ProductName(row.name()), new CategoryName(row.category())))
        .toList();
  }

  /** Makes a product, or says of which category it is. */
  public long number(Product product) {
    long number = number(product.name());
    mapper.putInto(number, number(product.category()));
    return number;
  }
}
