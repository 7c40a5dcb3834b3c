/** Names that say whose a font is and under which terms (OpenType 1.9, "Name IDs"). */
export const KEPT_NAME_IDS = [0, 1, 2, 3, 4, 5, 6, 8, 9, 11, 12, 13, 14, 16, 17];
