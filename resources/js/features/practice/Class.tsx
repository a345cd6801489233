import { Trans } from '@lingui/react/macro';
import type { PracticePage } from '../../types/views';

/** Which causes are told, and which are missed: the hardest first. */
export function Causes({ causes }: { causes: PracticePage['causes'] }) {
    return causes.length === 0 ? null : (
        <section aria-labelledby="practice-causes" className="pt-6">
            <h2 id="practice-causes" className="aside pb-1">
                <Trans>How each cause was told</Trans>
            </h2>
            <table className="ledger max-w-[640px]">
                <thead>
                    <tr>
                        <th scope="col">
                            <Trans>cause</Trans>
                        </th>
                        <th scope="col">
                            <Trans>told right</Trans>
                        </th>
                    </tr>
                </thead>
                <tbody>
                    {causes.map(({ cause, right, of }) => (
                        <tr key={cause}>
                            <th scope="row">{cause.replaceAll('-', ' ')}</th>
                            <td className="column">
                                <progress
                                    className="progress mr-2 w-32! align-middle"
                                    max={of}
                                    value={right}
                                    aria-hidden
                                />
                                <Trans>
                                    {right} of {of}
                                </Trans>
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </section>
    );
}

/** Who has answered what. */
export function People({ page: { people, exercises } }: { page: PracticePage }) {
    return people.length === 0 ? null : (
        <section aria-labelledby="practice-people" className="pt-6">
            <h2 id="practice-people" className="aside pb-1">
                <Trans>Who answered what</Trans>
            </h2>
            <div className="overflow-x-auto">
                <table className="ledger">
                    <thead>
                        <tr>
                            <th scope="col">
                                <Trans>name</Trans>
                            </th>
                            {exercises.map(({ id, title }) => (
                                <th key={id} scope="col">
                                    {title}
                                </th>
                            ))}
                        </tr>
                    </thead>
                    <tbody>
                        {people.map(({ id, name, marks }) => (
                            <tr key={id}>
                                <th scope="row">{name}</th>
                                {exercises.map((exercise) => (
                                    <td key={exercise.id} className="column">
                                        {marks[exercise.id] ?? ''}
                                    </td>
                                ))}
                            </tr>
                        ))}
                    </tbody>
                </table>
            </div>
        </section>
    );
}
