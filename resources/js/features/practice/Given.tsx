import { Trans } from '@lingui/react/macro';
import { bytes } from '../../lib/frames';
import { to } from '../../lib/route';
import { Breaking } from '../../parts/Breaking';
import type { TryPage } from '../../types/views';

/** What the scene says, and which files came. */
export function Given({ page: { scene, files, exercise } }: { page: TryPage }) {
    return (
        <>
            <p className="pt-3">
                <a className="btn" href={to('try.files', { exercise: exercise.id })}>
                    <Trans>Download all of it</Trans>
                </a>
            </p>
            <div className="grid gap-x-8 lg:grid-cols-2">
                <section aria-labelledby="given-scene" className="pt-4">
                    <h2 id="given-scene" className="aside pb-1">
                        <Trans>What the scene is set to</Trans>
                    </h2>
                    <table className="ledger">
                        <tbody>
                            {scene.map(({ name, value }) => (
                                <tr key={name}>
                                    <th scope="row" className="mono text-[13px]">
                                        <Breaking text={name} />
                                    </th>
                                    <td className="column mono text-[13px]">
                                        <Breaking text={value} />
                                    </td>
                                </tr>
                            ))}
                        </tbody>
                    </table>
                </section>
                <section aria-labelledby="given-files" className="pt-4">
                    <h2 id="given-files" className="aside pb-1">
                        <Trans>Which files came</Trans>
                    </h2>
                    <div
                        className="max-h-[420px] overflow-y-auto border-b border-rule"
                        tabIndex={0}
                        role="group"
                        aria-labelledby="given-files"
                    >
                        <table className="ledger">
                            <thead>
                                <tr>
                                    <th scope="col">
                                        <Trans>name</Trans>
                                    </th>
                                    <th scope="col">
                                        <Trans>size</Trans>
                                    </th>
                                    <th scope="col">
                                        <Trans>written</Trans>
                                    </th>
                                </tr>
                            </thead>
                            <tbody>
                                {files.map((file) => (
                                    <tr key={file.name}>
                                        <th scope="row" className="mono text-[12.5px]">
                                            <Breaking text={file.name} />
                                        </th>
                                        <td className="column text-[13px]">{bytes(file.bytes)}</td>
                                        <td className="column text-[13px]">{file.written}</td>
                                    </tr>
                                ))}
                            </tbody>
                        </table>
                    </div>
                </section>
            </div>
        </>
    );
}
