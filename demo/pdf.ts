/** A page of text as a PDF (ISO 32000-1, 7.5: header, objects, cross-reference table, trailer). */
export function pdfOf(title: string, lines: readonly string[]): Buffer {
	const text = (line: string) => line.replace(/[\\()]/g, '\\$&').replace(/[^\x20-\x7e]/g, '-');
	const written = [`/F1 20 Tf 60 770 Td (${text(title)}) Tj`, '/F1 11 Tf 0 -34 Td'];
	for (const line of lines) written.push(`(${text(line)}) Tj 0 -18 Td`);
	const stream = `BT ${written.join(' ')} ET`;
	const objects = [
		'<< /Type /Catalog /Pages 2 0 R >>',
		'<< /Type /Pages /Kids [3 0 R] /Count 1 >>',
		'<< /Type /Page /Parent 2 0 R /MediaBox [0 0 595 842] /Contents 4 0 R /Resources << /Font << /F1 5 0 R >> >> >>',
		`<< /Length ${stream.length} >>\nstream\n${stream}\nendstream`,
		'<< /Type /Font /Subtype /Type1 /BaseFont /Helvetica >>'
	];
	let body = '%PDF-1.4\n';
	const offsets = objects.map((object, i) => {
		const offset = body.length;
		body += `${i + 1} 0 obj\n${object}\nendobj\n`;
		return offset;
	});
	const table = offsets.map((offset) => `${String(offset).padStart(10, '0')} 00000 n \n`).join('');
	const size = objects.length + 1;
	return Buffer.from(
		`${body}xref\n0 ${size}\n0000000000 65535 f \n${table}trailer\n<< /Size ${size} /Root 1 0 R >>\nstartxref\n${body.length}\n%%EOF\n`,
		'latin1'
	);
}
