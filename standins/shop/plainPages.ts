/** Pages that are neither of products nor of categories. */
export const PLAIN: Record<string, { title: string; text: string[] }> = {
	delivery: {
		title: 'Delivery',
		text: [
			'Parcels leave on every working day and arrive within three.',
			'What is too large for a parcel comes by freight. The driver calls you the day before and brings it to the kerb.'
		]
	},
	contact: { title: 'Contact', text: ['Our gardeners answer the telephone on every weekday until four.'] },
	cart: { title: 'Basket', text: ['This shop is made up; nothing was put in a basket.'] }
};
