import { codeOfLabel, type AttributeDefinition, type Conversion } from '@anbau/core/catalog';
import { request, RequestProblem, sentenceOf } from '$lib/desk/request.js';

const BLANK: AttributeDefinition = {
	code: '',
	label: '',
	note: '',
	type: 'text',
	unit: '',
	choices: [],
	of: 'product',
	categories: [],
	required: false
};

/** A definition that is being written: new, with its code made from its label, or one that is there. */
export class DefinitionDraft {
	value = $state.raw<AttributeDefinition>(BLANK);
	readonly isNew: boolean;
	/** The faults by the name of their field. */
	faults = $state.raw<Record<string, string>>({});
	problem = $state('');
	busy = $state(false);
	/** What saving would do to the values that are there. */
	plan = $state.raw<Conversion | null>(null);
	private readonly fixedCode: boolean;

	constructor(known: AttributeDefinition | null, code: string) {
		this.isNew = known === null;
		this.fixedCode = !this.isNew || code !== '';
		const label = code === '' ? '' : code.replace(/_/g, ' ').replace(/^./, (first) => first.toUpperCase());
		this.value = known ?? { ...BLANK, code, label };
	}

	set(change: Partial<AttributeDefinition>): void {
		const value = { ...this.value, ...change };
		this.value = this.fixedCode ? value : { ...value, code: codeOfLabel(value.label) };
		this.plan = null;
		this.faults = {};
		this.problem = '';
	}

	/** Saves it; where values would change, they are shown first, and saved when it is asked for again. */
	async save(): Promise<boolean> {
		this.busy = true;
		try {
			if (this.plan === null) {
				const plan = await this.look();
				if (plan.changed.length > 0 || plan.lost.length > 0) {
					this.plan = plan;
					return false;
				}
			}
			const drop = (this.plan?.lost.length ?? 0) > 0 ? '?drop=true' : '';
			const headers: Record<string, string> = this.isNew ? { 'if-none-match': '*' } : {};
			await request(`${this.path}${drop}`, { method: 'PUT', body: this.value, headers });
			return true;
		} catch (error) {
			this.fail(error);
			return false;
		} finally {
			this.busy = false;
		}
	}

	private look(): Promise<Conversion> {
		return request<Conversion>(`${this.path}/conversion`, { method: 'POST', body: this.value });
	}

	private get path(): string {
		return `/api/v1/attributes/${encodeURIComponent(this.value.code || '-')}`;
	}

	private fail(error: unknown): void {
		const faults = error instanceof RequestProblem ? error.faults : [];
		this.faults = Object.fromEntries(faults.map(({ at, message }) => [at.split('/')[1] || 'code', message]));
		this.problem = faults.length === 0 ? sentenceOf(error) : '';
	}
}
