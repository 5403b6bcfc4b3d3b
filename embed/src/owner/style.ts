/** The style of the owner's mode, in a sheet of its own, which a page's policy lets be. */
export function ownerStyle(): CSSStyleSheet {
	const sheet = new CSSStyleSheet();
	sheet.replaceSync(`
		:host { all: initial; }
		* { box-sizing: border-box; font: 13px/1.4 system-ui, sans-serif; }
		.hook { position: absolute; z-index: 2147483000; display: flex; align-items: center; gap: 6px; max-width: 16rem;
			padding: 2px 9px 2px 6px; border: 1px solid #2c5b43; border-radius: 99px; background: #fffdf8; color: #1d2a22;
			font-family: ui-monospace, monospace; cursor: pointer; white-space: nowrap; }
		.hook::before { content: ''; width: 9px; height: 9px; border: 2px solid #2c5b43; border-radius: 50%; }
		.hook.full::before { background: #2c5b43; }
		.hook:is(:hover, :focus-visible, [aria-expanded=true]) { background: #dfe9df; outline: 2px solid #2c5b43; }
		.line { position: absolute; z-index: 2147482999; border-top: 2px dashed #2c5b43; opacity: .45; pointer-events: none; }
		.card { position: absolute; z-index: 2147483001; display: grid; gap: 4px; width: 17rem; padding: 12px;
			border: 1px solid #ddd6c4; border-radius: 10px; background: #fffdf8; color: #1d2a22;
			box-shadow: 0 8px 30px rgb(29 42 34 / 22%); }
		.card p { margin: 0 0 6px; color: #5f685a; }
		.card :is(a, button), .bar button { display: block; padding: 6px 10px; border: 1px solid #ddd6c4; border-radius: 7px;
			background: #fffdf8; color: #1d2a22; text-align: left; text-decoration: none; cursor: pointer; }
		.card :is(a, button):is(:hover, :focus-visible), .bar button:is(:hover, :focus-visible) { background: #dfe9df; }
		.bar { position: fixed; z-index: 2147483002; inset: auto 16px 16px auto; display: flex; flex-wrap: wrap; gap: 8px;
			align-items: center; max-width: calc(100vw - 32px); padding: 10px 14px; border-radius: 10px;
			background: #1d2a22; color: #f4f1e8; box-shadow: 0 8px 30px rgb(29 42 34 / 35%); }
		.outline { position: fixed; z-index: 2147482998; border: 2px solid #b64f2a; background: rgb(182 79 42 / 12%);
			pointer-events: none; }
		[hidden] { display: none; }
	`);
	return sheet;
}
