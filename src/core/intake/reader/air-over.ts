/** "with good airflow", "under a fan", "needs cooling": amps that are given so are not those of a board in still air. */
export const airOver =
  /\b(?:with|when|if|given|in|under|needs?|requires?|assuming) (?:good |enough |some |an? |the |forced )?(?:air ?flow|air|cool(?:ing|ed)|fan|heat ?sink)\b/;
