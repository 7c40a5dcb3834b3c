/** Made by make.mjs: where the letters are from, and those that each language needs. */
export const SOURCE =
  'Unicode CLDR 48.2.0, main exemplar characters of each locale and their capitals';

export const TABLE = [
  {
    tag: 'sq',
    name: 'Albanian',
    script: 'latin',
    characters: 'abcçdheëfgjiklmnopqrstuvxyzABCÇDHEËFGJIKLMNOPQRSTUVXYZ',
  },
  {
    tag: 'eu',
    name: 'Basque',
    script: 'latin',
    characters: 'abcçdefghijklmnñopqrstuvwxyzABCÇDEFGHIJKLMNÑOPQRSTUVWXYZ',
  },
  {
    tag: 'be',
    name: 'Belarusian',
    script: 'cyrillic',
    characters: 'абвгджзеёійклмнопрстуўфхцчшыьэюяАБВГДЖЗЕЁІЙКЛМНОПРСТУЎФХЦЧШЫЬЭЮЯ',
  },
  {
    tag: 'bs',
    name: 'Bosnian',
    script: 'latin',
    characters: 'abcčćdžđefghijklmnoprsštuvzABCČĆDŽĐEFGHIJKLMNOPRSŠTUVZ',
  },
  {
    tag: 'br',
    name: 'Breton',
    script: 'latin',
    characters: 'abchdeêfgijklmnñoprstuùvwxyzABCHDEÊFGIJKLMNÑOPRSTUÙVWXYZ',
  },
  {
    tag: 'bg',
    name: 'Bulgarian',
    script: 'cyrillic',
    characters: 'абвгдежзийклмнопрстуфхцчшщъьюяАБВГДЕЖЗИЙКЛМНОПРСТУФХЦЧШЩЪЬЮЯ',
  },
  {
    tag: 'ca',
    name: 'Catalan',
    script: 'latin',
    characters: '·aàbcçdeéèfghiíïjklmnoóòpqrstuúüvwxyzAÀBCÇDEÉÈFGHIÍÏJKLMNOÓÒPQRSTUÚÜVWXYZ',
  },
  {
    tag: 'hr',
    name: 'Croatian',
    script: 'latin',
    characters: 'abcčćdžđefghijklmnoprsštuvzABCČĆDŽĐEFGHIJKLMNOPRSŠTUVZ',
  },
  {
    tag: 'cs',
    name: 'Czech',
    script: 'latin',
    characters:
      'aábcčdďeéěfghiíjklmnňoópqrřsštťuúůvwxyýzžAÁBCČDĎEÉĚFGHIÍJKLMNŇOÓPQRŘSŠTŤUÚŮVWXYÝZŽ',
  },
  {
    tag: 'da',
    name: 'Danish',
    script: 'latin',
    characters: 'abcdefghijklmnopqrstuvwxyzæøåABCDEFGHIJKLMNOPQRSTUVWXYZÆØÅ',
  },
  {
    tag: 'nl',
    name: 'Dutch',
    script: 'latin',
    characters: 'aáäbcdeéëfghiíïjklmnoóöpqrstuúüvwxyzAÁÄBCDEÉËFGHIÍÏJKLMNOÓÖPQRSTUÚÜVWXYZ',
  },
  {
    tag: 'en',
    name: 'English',
    script: 'latin',
    characters: 'abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ',
  },
  {
    tag: 'et',
    name: 'Estonian',
    script: 'latin',
    characters: 'abcdefghijklmnopqrsšzžtuvwõäöüxyABCDEFGHIJKLMNOPQRSŠZŽTUVWÕÄÖÜXY',
  },
  {
    tag: 'fo',
    name: 'Faroese',
    script: 'latin',
    characters: 'aábdðefghiíjklmnoóprstuúvyýæøAÁBDÐEFGHIÍJKLMNOÓPRSTUÚVYÝÆØ',
  },
  {
    tag: 'fi',
    name: 'Finnish',
    script: 'latin',
    characters: 'abcdefghijklmnopqrsštuvwxyzžåäöABCDEFGHIJKLMNOPQRSŠTUVWXYZŽÅÄÖ',
  },
  {
    tag: 'fr',
    name: 'French',
    script: 'latin',
    characters:
      'aàâæbcçdeéèêëfghiîïjklmnoôœpqrstuùûüvwxyÿzAÀÂÆBCÇDEÉÈÊËFGHIÎÏJKLMNOÔŒPQRSTUÙÛÜVWXYŸZ',
  },
  {
    tag: 'gl',
    name: 'Galician',
    script: 'latin',
    characters: 'aábcdeéfghiíïjklmnñoópqrstuúüvwxyzAÁBCDEÉFGHIÍÏJKLMNÑOÓPQRSTUÚÜVWXYZ',
  },
  {
    tag: 'de',
    name: 'German',
    script: 'latin',
    characters: 'aäbcdefghijklmnoöpqrsßtuüvwxyzAÄBCDEFGHIJKLMNOÖPQRSTUÜVWXYZ',
  },
  {
    tag: 'el',
    name: 'Greek',
    script: 'greek',
    characters: 'αάβγδεέζηήθιίϊΐκλμνξοόπρσςτυύϋΰφχψωώΑΆΒΓΔΕΈΖΗΉΘΙΊΪΚΛΜΝΞΟΌΠΡΣΤΥΎΫΦΧΨΩΏ',
  },
  {
    tag: 'hu',
    name: 'Hungarian',
    script: 'latin',
    characters: 'aábcsdzeéfgyhiíjklmnoóöőprtuúüűvAÁBCSDZEÉFGYHIÍJKLMNOÓÖŐPRTUÚÜŰV',
  },
  {
    tag: 'is',
    name: 'Icelandic',
    script: 'latin',
    characters: 'aábdðeéfghiíjklmnoóprstuúvxyýþæöAÁBDÐEÉFGHIÍJKLMNOÓPRSTUÚVXYÝÞÆÖ',
  },
  {
    tag: 'ga',
    name: 'Irish',
    script: 'latin',
    characters: 'aábcdeéfghiílmnoóprstuúAÁBCDEÉFGHIÍLMNOÓPRSTUÚ',
  },
  {
    tag: 'it',
    name: 'Italian',
    script: 'latin',
    characters: 'aàbcdeéèfghiìjklmnoòpqrstuùvwxyzAÀBCDEÉÈFGHIÌJKLMNOÒPQRSTUÙVWXYZ',
  },
  {
    tag: 'lv',
    name: 'Latvian',
    script: 'latin',
    characters: 'aābcčdeēfgģhiījkķlļmnņoprsštuūvzžAĀBCČDEĒFGĢHIĪJKĶLĻMNŅOPRSŠTUŪVZŽ',
  },
  {
    tag: 'lt',
    name: 'Lithuanian',
    script: 'latin',
    characters: 'aąbcčdeęėfghiįyjklmnoprsštuųūvzžAĄBCČDEĘĖFGHIĮYJKLMNOPRSŠTUŲŪVZŽ',
  },
  {
    tag: 'lb',
    name: 'Luxembourgish',
    script: 'latin',
    characters: 'aäbcdeéëfghijklmnopqrstuvwxyzAÄBCDEÉËFGHIJKLMNOPQRSTUVWXYZ',
  },
  {
    tag: 'mk',
    name: 'Macedonian',
    script: 'cyrillic',
    characters: 'абвгдѓежзѕијклљмнњопрстќуфхцчџшАБВГДЃЕЖЗЅИЈКЛЉМНЊОПРСТЌУФХЦЧЏШ',
  },
  {
    tag: 'mt',
    name: 'Maltese',
    script: 'latin',
    characters: 'aàbċdeèfġgħhiìjklmnoòpqrstuùvwxżzAÀBĊDEÈFĠGĦHIÌJKLMNOÒPQRSTUÙVWXŻZ',
  },
  {
    tag: 'se',
    name: 'Northern Sami',
    script: 'latin',
    characters: 'aábcčdđefghijklmnŋoprsštŧuvzžAÁBCČDĐEFGHIJKLMNŊOPRSŠTŦUVZŽ',
  },
  {
    tag: 'nb',
    name: 'Norwegian Bokmål',
    script: 'latin',
    characters: 'aàbcdeéfghijklmnoóòôpqrstuvwxyzæøåAÀBCDEÉFGHIJKLMNOÓÒÔPQRSTUVWXYZÆØÅ',
  },
  {
    tag: 'nn',
    name: 'Norwegian Nynorsk',
    script: 'latin',
    characters: 'aàbcdeéfghijklmnoóòôpqrstuvwxyzæøåAÀBCDEÉFGHIJKLMNOÓÒÔPQRSTUVWXYZÆØÅ',
  },
  {
    tag: 'oc',
    name: 'Occitan',
    script: 'latin',
    characters: 'aáàbcçdeéèfghiíïjklmnoóòpqrstuúüvwxyzAÁÀBCÇDEÉÈFGHIÍÏJKLMNOÓÒPQRSTUÚÜVWXYZ',
  },
  {
    tag: 'pl',
    name: 'Polish',
    script: 'latin',
    characters: 'aąbcćdeęfghijklłmnńoóprsśtuwyzźżAĄBCĆDEĘFGHIJKLŁMNŃOÓPRSŚTUWYZŹŻ',
  },
  {
    tag: 'pt',
    name: 'Portuguese',
    script: 'latin',
    characters: 'aáàâãbcçdeéêfghiíjklmnoóòôõpqrstuúvwxyzAÁÀÂÃBCÇDEÉÊFGHIÍJKLMNOÓÒÔÕPQRSTUÚVWXYZ',
  },
  {
    tag: 'ro',
    name: 'Romanian',
    script: 'latin',
    characters: 'aăâbcdefghiîjklmnopqrsștțuvwxyzAĂÂBCDEFGHIÎJKLMNOPQRSȘTȚUVWXYZ',
  },
  {
    tag: 'rm',
    name: 'Romansh',
    script: 'latin',
    characters: 'aàbcdeéèfghiìjklmnoòpqrstuùvwxyzAÀBCDEÉÈFGHIÌJKLMNOÒPQRSTUÙVWXYZ',
  },
  {
    tag: 'ru',
    name: 'Russian',
    script: 'cyrillic',
    characters: 'абвгдеёжзийклмнопрстуфхцчшщъыьэюяАБВГДЕЁЖЗИЙКЛМНОПРСТУФХЦЧШЩЪЫЬЭЮЯ',
  },
  {
    tag: 'gd',
    name: 'Scottish Gaelic',
    script: 'latin',
    characters: 'aàbcdeèfghiìlmnoòprstuùAÀBCDEÈFGHIÌLMNOÒPRSTUÙ',
  },
  {
    tag: 'sr',
    name: 'Serbian',
    script: 'cyrillic',
    characters: 'абвгдђежзијклљмнњопрстћуфхцчџшАБВГДЂЕЖЗИЈКЛЉМНЊОПРСТЋУФХЦЧЏШ',
  },
  {
    tag: 'sr-Latn',
    name: 'Serbian (Latin)',
    script: 'latin',
    characters: 'abcčćdžđefghijklmnoprsštuvzABCČĆDŽĐEFGHIJKLMNOPRSŠTUVZ',
  },
  {
    tag: 'sk',
    name: 'Slovak',
    script: 'latin',
    characters:
      'aáäbcčdďzžeéfghiíjklĺľmnňoóôpqrŕsštťuúvwxyýAÁÄBCČDĎZŽEÉFGHIÍJKLĹĽMNŇOÓÔPQRŔSŠTŤUÚVWXYÝ',
  },
  {
    tag: 'sl',
    name: 'Slovenian',
    script: 'latin',
    characters: 'abcčdefghijklmnoprsštuvzžABCČDEFGHIJKLMNOPRSŠTUVZŽ',
  },
  {
    tag: 'es',
    name: 'Spanish',
    script: 'latin',
    characters: 'aábcdeéfghiíjklmnñoópqrstuúüvwxyzAÁBCDEÉFGHIÍJKLMNÑOÓPQRSTUÚÜVWXYZ',
  },
  {
    tag: 'sv',
    name: 'Swedish',
    script: 'latin',
    characters: 'aàbcdeéfghijklmnopqrstuvwxyzåäöAÀBCDEÉFGHIJKLMNOPQRSTUVWXYZÅÄÖ',
  },
  {
    tag: 'tr',
    name: 'Turkish',
    script: 'latin',
    characters: 'abcçdefgğhıiİjklmnoöprsştuüvyzABCÇDEFGĞHIJKLMNOÖPRSŞTUÜVYZ',
  },
  {
    tag: 'uk',
    name: 'Ukrainian',
    script: 'cyrillic',
    characters: 'абвгґдеєжзиіїйклмнопрстуфхцчшщьюяАБВГҐДЕЄЖЗИІЇЙКЛМНОПРСТУФХЦЧШЩЬЮЯ',
  },
  {
    tag: 'vi',
    name: 'Vietnamese',
    script: 'vietnamese',
    characters:
      'aàảãáạăằẳẵắặâầẩẫấậbcdđeèẻẽéẹêềểễếệghiìỉĩíịklmnoòỏõóọôồổỗốộơờởỡớợpqrstuùủũúụưừửữứựvxyỳỷỹýỵAÀẢÃÁẠĂẰẲẴẮẶÂẦẨẪẤẬBCDĐEÈẺẼÉẸÊỀỂỄẾỆGHIÌỈĨÍỊKLMNOÒỎÕÓỌÔỒỔỖỐỘƠỜỞỠỚỢPQRSTUÙỦŨÚỤƯỪỬỮỨỰVXYỲỶỸÝỴ',
  },
  {
    tag: 'cy',
    name: 'Welsh',
    script: 'latin',
    characters:
      'aáàâäbchdeéèêëfgniíìîïjlmoóòôöprstuúùûüwẃẁŵẅyýỳŷÿAÁÀÂÄBCHDEÉÈÊËFGNIÍÌÎÏJLMOÓÒÔÖPRSTUÚÙÛÜWẂẀŴẄYÝỲŶŸ',
  },
] as const;
