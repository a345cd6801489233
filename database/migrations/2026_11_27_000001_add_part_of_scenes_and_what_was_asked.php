<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    /** What refers to other rows, and is looked for when one of those goes. */
    private const REFERENCES = [
        'memberships' => ['user_id'],
        'intake_roots' => ['production_id'],
        'specifications' => ['production_id'],
        'specification_revisions' => ['user_id'],
        'deliverables' => ['specification_id', 'owner_id'],
        'parts' => ['made_from_id'],
        'scenes' => ['deliverable_id', 'user_id'],
        'deliveries' => ['deliverable_id', 'user_id', 'intake_root_id'],
        'checks' => ['specification_revision_id', 'scene_id', 'delivery_id', 'user_id'],
        'changes' => ['specification_id', 'deliverable_id', 'user_id', 'follows_id'],
        'presets' => ['production_id'],
        'sheet_links' => ['deliverable_id', 'user_id'],
        'waivers' => ['production_id', 'user_id'],
        'ticks' => ['user_id'],
        'render_logs' => ['deliverable_id', 'user_id', 'intake_root_id'],
        'messages' => ['production_id', 'to_id', 'by_id'],
    ];

    public function up(): void
    {
        // which part of what is asked the settings make, where somebody said so
        Schema::table('scenes', fn (Blueprint $table) => $table->string('part', 80)->nullable());
        // a stamp of the layers, so that a board need not unpack them to see that something else is asked by now
        Schema::table('checks', function (Blueprint $table): void {
            $table->string('asked', 64)->nullable();
            // the side that its first cause is on: which page an index leads to
            $table->string('trouble', 8)->nullable();
        });
        foreach (DB::table('checks')->select('id', 'layers', 'summary')->lazyById(100) as $check) {
            $layers = json_decode((string) $check->layers, true, 64, JSON_THROW_ON_ERROR);
            $asked = array_map(static fn (array $l): array => [$l['set_by'], $l['data']], $layers);
            $summary = json_decode((string) $check->summary, true);
            DB::table('checks')->where('id', $check->id)->update(
                [
                    'trouble' => $summary['causes'][0]['side'] ?? null,
                    'asked' => hash('sha256', json_encode($asked, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION)),
                ],
            );
        }
        foreach (self::REFERENCES as $name => $columns) {
            Schema::table($name, function (Blueprint $table) use ($columns): void {
                foreach ($columns as $column) {
                    $table->index($column);
                }
            });
        }
    }

    public function down(): void
    {
        foreach (self::REFERENCES as $name => $columns) {
            Schema::table($name, function (Blueprint $table) use ($columns): void {
                foreach ($columns as $column) {
                    $table->dropIndex([$column]);
                }
            });
        }
        Schema::table('checks', fn (Blueprint $table) => $table->dropColumn(['asked', 'trouble']));
        Schema::table('scenes', fn (Blueprint $table) => $table->dropColumn('part'));
    }
};
