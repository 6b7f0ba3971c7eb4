import { replaced, type Script } from './script';

/**
 * What pages and manuals of other languages call the things of the trade, in the English of the rules. Where a word means nothing in English it is taken wherever it stands; short ones, and those
 * that English has too, only on a page that has two of the others.
 */
const clear: Record<string, string> = {
  processor:
    'processzor prozessor mikrocontroller procesador processeur processore processador procesor mikrokontroler microcontrollore microcontrolador процессор микроконтроллер 主控 处理器 マイコン 프로세서 suoritin',
  'continuous current':
    'dauerstrom nennstrom trvalý_proud corriente_continua courant_continu corrente_continua corrente_contínua prąd_ciągły continustroom constante_stroom длительный_ток постоянный_ток 持续电流 連続電流',
  continuous: 'dauerhaft dauernd voortdurend',
  'burst current':
    'spitzenstrom spitze špičkový_proud picco pico maximalstrom corriente_máxima corriente_pico corriente_de_pico courant_de_pointe courant_max corrente_di_picco corrente_de_pico prąd_szczytowy piekstroom пиковый_ток 瞬间电流 瞬时电流 峰值电流 最大電流',
  input:
    'bemenet betriebsspannung eingangsspannung versorgungsspannung versorgung eingang stromversorgung batería bateria batteria alimentación alimentation alimentazione alimentação zasilanie voeding питание напряжение_питания 输入电压 输入 工作电压 入力 電源 entrada ingresso ingång napájení 입력_전압 käyttöjännite inspänning',
  bec: 'spannungswandler spannungsregler regler stabilizator stabilizatory 5v-regelaar regelaar regelaars regulator_napięcia schaltregler régulateurs régulateur reguladores regulador regolatori regolatore',
  uarts:
    'sériové_porty sériových_portů liaisons_série liaisons_serie uart_portok_száma uart_portok soros_portok uart-poorten uart-porter uart-portar porte_uart portas_uart serielle_anschlüsse anschlüsse_seriell serielle_schnittstellen uart-schnittstellen uart-anschlüsse портов_uart uartów serielle_ports puertos_serie ports_série porte_seriali portas_seriais porty_szeregowe seriële_poorten seriellen_schnittstellen seriellen_anschlüsse serieportar serieporter serielle_porter porty_uart portów_uart puertos_uart uarty последовательные_порты uart数 uart数量 串口数量 串口 シリアルポート',
  taken: 'belegt vergeben ocupado ocupada occupé occupato occupata zajęty bezet',
  flash: 'flugspeicher speicher memoria mémoire_de_vol mémoire memória pamięć geheugen память minne',
  blackbox:
    'caja_negra boîte_noire caixa-preta scatola_nera czarna_skrzynka чёрный_ящик черный_ящик 黑匣子 ブラックボックス 블랙박스',
  osd: 'osd-baustein osd-chip puce_osd',
  usb: 'usb-buchse usb-anschluss',
  holes:
    'lochabstand lochbild befestigungslöcher montagelöcher bohrungen distancia_entre_agujeros agujeros_de_montaje agujeros entraxe_des_trous trous_de_fixation entraxe fori_di_montaggio interasse_fori fori furação furos otwory_montażowe otwory montagegaten крепёж крепление крепежные_отверстия отверстия 安装孔距 安装孔 孔距 取付穴 장착_구멍 fästhål hålbild hullavstand hulavstand hulafstand reikäväli rozteč_otvorů furatok perçage perçages rozstaw_otworów gatenpatroon gatenafstand gatafstand',
  size: 'maße abmessungen abmaße grösse größe tamaño dimensiones taille dimensioni misure dimensões dimensão tamanho wymiary afmetingen размеры размер 尺寸 基板サイズ サイズ 크기 mått rozměry méret koko',
  height: 'höhe bauhöhe altura hauteur altezza wysokość высота 高度 hoogte höjd',
  weight: 'gewicht tömeg peso poids waga вес 重量 무게 hmotnost paino',
  'gross weight':
    'bruttogewicht peso_bruto peso_lordo poids_brut waga_brutto brutogewicht bruttovikt bruttovekt bruttovægt вес_брутто 毛重 総重量',
  without: 'no_lleva no_tiene no_trae no_incorpora non_ha nie_ma não_tem não_possui ohne senza zonder sans utan',
  'per motor': 'je_motor pro_motor par_moteur por_motor per_motore na_silnik je_kanal per_kanal на_мотор',
  cells: 'zellen cellules článků celdas células celle cellen celler ogniw éléments',
  'current sensor':
    'stromsensor sensor_de_corriente sensore_di_corrente capteur_de_courant czujnik_prądu stroomsensor sensor_de_corrente датчик_тока 电流计 电流传感器 電流センサー',
  barometer:
    'höhenmesser barométer luftdrucksensor барометра barómetro baromètre barometro barômetro barometr ilmanpaineanturi tlakoměr барометр 气压计 気圧計 기압계',
  'package contents':
    'lieferumfang incluye contenuto_della_confezione fourni contenu contenido conteúdo inhoud zestaw_zawiera комплект комплектация 包装清单 付属品 leveransinnehåll',
  shipping:
    'lieferzeit versand envío livraison spedizione levertijd verzending wysyłka envio доставка 运费 送料 leverans frakt',
  missing: 'fehlt fehlend manca absent assente ausente saknas ontbreekt eksik chybí mangler',
  at: 'bei bij',
  'burst time': 'durée_de_pointe spitzendauer',
  'built-in': '内蔵 内置 内建',
  capacitor: 'kondensator condensador condensateur condensatore конденсатор 电容 elko',
  receiver: 'empfänger récepteur receptor ricevitore ontvanger odbiornik odbiornika приёмник приемник 接收机 受信機',
  whereof:
    'davon waarvan di_cui dont_un dont_une de_los_cuales de_las_cuales dos_quais das_quais z_czego varav hvorav hvoraf из_них',
  camera: 'kamera cámara caméra telecamera câmara камера 相机 摄像头 カメラ 카메라',
  servo: 'servomotor servomoteur сервопривод сервомашинка',
  compass: 'kompass boussole brújula bussola bússola kompas компас 罗盘 コンパス',
  for: 'für réservé_au reservado_al reservada_al riservato_al riservata_al',
  'up to':
    "hasta jusqu'à fino_a até höchstens au_plus au_maximum al_massimo como_máximo no_máximo hoogstens maximaal_tot",
  output: 'ausgang salidas salida sorties sortie uscite uscita saídas saída wyjścia выходы выход 输出 出力',
  yes: '搭載 有り vorhanden verbaut integriert integrado integrato intégré geïntegreerd wbudowany есть имеется 有 あり 是 있음 finns',
  no: 'leider_nicht leider_nein leider_kein leider_ohne 非搭載 未搭載 無し nicht_vorhanden nicht_verbaut nein kein keine pas_de nessun keinen brak não нет отсутствует 无 無 なし 没有 없음 nincs nessuno aucun ninguno nei geen ingen inget niente finns_inte finns_ikke',
  screws: 'schrauben viti tornillos parafusos śruby винты',
  and: 'sowie und',
  max: '最大',
  seconds: '秒 sekunden segundos secondes secondi seconden sekund sekunder sekundy sekundi сек секунд',
  to: 'bis 至',
  ports: 'ポート',
  pcs: 'stück stk шт 个 個 개',
  g: 'gramm gramos grammes gramme grammi gramas gramów грамм 克',
  oz: 'unzen unze onzas onces',
  mm: '毫米 millimètres миллиметров',
};

const short: Record<string, string> = {
  weight: 'masse masa масса vikt vekt vægt tömeg',
  size: 'dimensions encombrement mål mitat',
  holes: 'gaten hål hull huller furatok befestigung',
  input: 'akku batterie spänning питание entrée inngang indgang táplálás',
  no: 'nie nee nej nei no ne non',
  yes: 'ja sí sì si oui sim tak',
  without: 'hors sin sem bez без w/o',
  with: 'mit avec met con com med с',
  and: 'et e y och i и 和 及',
  to: 't/m do tot till до',
  for: 'für para pour dla',
  type: 'typ tipo тип',
  at: 'sous o_wydajności',
  is: 'ist è jest är',
  gives: 'klarar tåler liefert fournit eroga entrega dostarcza levert levererar macht',
  mb: 'mo мб',
  'continuous current': 'ток stroom dauer',
  'burst current': 'spitze',
  dc: '直流',
};

/** Scripts that are written without spaces have no word ends. */
const unspaced = /[\u3040-\u30ff\u3400-\u9fff\uac00-\ud7af]/;

interface Translator {
  at: RegExp;
  english: Map<string, string>;
}

/** What is another word without its marks: "masse" is the weight of a French page and the size of a Swiss one, "stuck" and "matt" are English. */
const anothers = new Set(['masse', 'stuck', 'matt', 'ate', 'fur']);

/** A word as it stands, and as it is typed where its letters are not at hand: "größe", "grosse", "groesse". */
function asTyped(word: string): string[] {
  const bare = (w: string) =>
    w
      .replaceAll('ß', 'ss')
      .replaceAll('ø', 'o')
      .replaceAll('æ', 'ae')
      .replaceAll('ł', 'l')
      .normalize('NFD')
      .replace(/(?<=[a-z])\p{M}/gu, '');
  const german = word.replace(/[äöü]/g, (c) => `${bare(c)}e`);
  return [word, bare(word), bare(german)].filter((w) => w === word || !anothers.has(w));
}

function translator(entries: Record<string, string>): Translator {
  const english = new Map<string, string>();
  for (const [to, ways] of Object.entries(entries))
    for (const way of ways.split(' '))
      for (const w of asTyped(way.replaceAll('_', ' '))) if (!english.has(w)) english.set(w, to);
  const ways = [...english.keys()]
    .sort((a, b) => b.length - a.length)
    .map((w) => w.replace(/[.*+?^${}()|[\]\\/]/g, '\\$&'));
  const [open, bounded] = [ways.filter((w) => unspaced.test(w)), ways.filter((w) => !unspaced.test(w))];
  return {
    at: new RegExp(
      `${open.length ? `(?:${open.join('|')})|` : ''}(?<![\\p{L}\\d])(?:${bounded.join('|')})(?!\\p{L}|2c\\b)`,
      'gu',
    ),
    english,
  };
}

const always = translator(clear);
const onForeignPages = translator(short);

function translate(script: Script, { at, english }: Translator): Script {
  return replaced(script, at, ([], { text }) => (unspaced.test(text) ? ` ${english.get(text)} ` : english.get(text)));
}

/** Yes and no in other languages, behind the name of what may be there: understood on any page. */
const answers: Record<string, string> = {
  no: 'nein nei nej nee nie não non ei ne nu nem hayır нет нема όχι ikke_montert',
  yes: 'ja oui sì sí si sim tak kyllä ano áno igen evet да так ναι da',
};
const answer = translator(answers);
const answered = new RegExp(
  `(?<=(?:barometer|baro|osd|overlay|blackbox|flash|compass)(?: chip)?[ \\t]{0,3}[:=|?][ \\t]{0,3})${answer.at.source}`,
  'gu',
);

/** The script with the trade's words of other languages in English. */
export function inEnglish(script: Script): Script {
  const words = translate(script, always);
  const once = translate(words, { ...answer, at: answered });
  const seen = new Set([...script.text.matchAll(always.at)].slice(0, 50).map(([word]) => word));
  // A page in two languages says each label twice.
  return replaced(
    seen.size < 2 ? once : translate(once, onForeignPages),
    /\b([a-z]{2,20}) ?\/ ?\1\b/g,
    ([word]) => word,
  );
}
