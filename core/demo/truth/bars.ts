/** Segments a painted power display lights up whatever is made, of ten, by set (invented); any other is honest. */
export const paintedBars: Readonly<Record<string, number>> = { 'trek-a': 9 }
