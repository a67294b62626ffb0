package marvek.core.brief;

import java.util.List;

/**
 * One thing that is said on the lap.
 *
 * @param corner that it speaks of
 * @param fromS time of the lap at which it begins; before 0 it is said at the end of the lap before
 * @param toS time at which it ends
 * @param pointM station of the point that it prepares
 * @param pointS time of that point
 * @param words as they are said
 */
public record CallOut(
    int corner, double fromS, double toS, double pointM, double pointS, String words) {

  /**
   * What could be said of a point, before it has found its time.
   *
   * @param importance 0 is said first of all
   * @param pieces of words in the order they are said
   */
  record Wish(int corner, int importance, double pointM, double pointS, List<Piece> pieces) {
    Wish {
      pieces = List.copyOf(pieces);
    }

    /** The words with the least important pieces left out. */
    String words(int leastImportance) {
      StringBuilder words = new StringBuilder();
      for (Piece piece : pieces) {
        if (piece.importance() <= leastImportance) {
          words.append(words.isEmpty() ? "" : " ").append(piece.words());
        }
      }
      return words.toString();
    }

    /** The importances of the pieces, the least important first. */
    List<Integer> steps() {
      return pieces.stream()
          .map(Piece::importance)
          .distinct()
          .sorted(java.util.Comparator.reverseOrder())
          .toList();
    }
  }

  /**
   * Words that go together.
   *
   * @param importance 0 stays longest
   */
  record Piece(String words, int importance) {}
}
