package hamper.server.store.tables;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Optional;

/** A row that is read; its columns by name. */
record Row(ResultSet row) {
  String string(String column) throws SQLException {
    return row.getString(column);
  }

  int integer(String column) throws SQLException {
    return row.getInt(column);
  }

  double real(String column) throws SQLException {
    return row.getDouble(column);
  }

  boolean bool(String column) throws SQLException {
    return row.getBoolean(column);
  }

  Optional<Boolean> flag(String column) throws SQLException {
    return Optional.ofNullable(row.getObject(column, Boolean.class));
  }

  Optional<String> text(String column) throws SQLException {
    return Optional.ofNullable(row.getString(column));
  }

  Optional<Integer> number(String column) throws SQLException {
    return Optional.ofNullable(row.getObject(column, Integer.class));
  }

  Optional<Double> decimal(String column) throws SQLException {
    return Optional.ofNullable(row.getObject(column, Double.class));
  }
}
