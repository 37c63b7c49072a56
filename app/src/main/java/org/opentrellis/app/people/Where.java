package org.opentrellis.app.people;

import java.util.ArrayList;
import java.util.List;

/**
 * An SQL statement, or a part of one. Values never stand in its text: each is a MyBatis parameter
 * {@code #{where.values[n]}}.
 */
final class Where {
  private final StringBuilder sql = new StringBuilder();
  private final List<Object> values = new ArrayList<>();

  Where add(String text) {
    sql.append(text);
    return this;
  }

  Where value(Object value) {
    sql.append("#{where.values[").append(values.size()).append("]}");
    values.add(value);
    return this;
  }

  /** The same with something in front that has no values. */
  Where after(String text) {
    sql.insert(0, text);
    return this;
  }

  boolean mentions(String text) {
    return sql.indexOf(text) >= 0;
  }

  /** Several of them, with a comma between. */
  Where list(List<?> several) {
    for (int i = 0; i < several.size(); i++) {
      add(i == 0 ? "" : ", ").value(several.get(i));
    }
    return this;
  }

  /** For MyBatis: the text. */
  public String getSql() {
    return sql.toString();
  }

  /** For MyBatis: what stands in it. */
  public List<Object> getValues() {
    return values;
  }
}
