<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('checks', function (Blueprint $table): void {
            // when somebody last worked on it, or put it in the queue
            $table->timestamp('seen_at')->nullable();
        });
        // settings are brought again and again: each text is kept once
        Schema::create('scene_texts', function (Blueprint $table): void {
            $table->string('hash', 64)->primary();
            $table->longText('content');
        });
        Schema::table('scenes', function (Blueprint $table): void {
            $table->string('hash', 64)->nullable()->index();
        });
        foreach (DB::table('scenes')->orderBy('id')->lazyById(100) as $scene) {
            $hash = hash('sha256', $scene->content);
            DB::table('scene_texts')->insertOrIgnore(['hash' => $hash, 'content' => $scene->content]);
            DB::table('scenes')->where('id', $scene->id)->update(['hash' => $hash, 'content' => '']);
        }
        Schema::table('productions', function (Blueprint $table): void {
            $table->json('limits')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('productions', fn (Blueprint $table) => $table->dropColumn('limits'));
        foreach (DB::table('scenes')->orderBy('id')->lazyById(100) as $scene) {
            DB::table('scenes')->where('id', $scene->id)->update(
                ['content' => DB::table('scene_texts')->where('hash', $scene->hash)->value('content') ?? ''],
            );
        }
        Schema::table('scenes', function (Blueprint $table): void {
            $table->dropIndex(['hash']);
            $table->dropColumn('hash');
        });
        Schema::dropIfExists('scene_texts');
        Schema::table('checks', fn (Blueprint $table) => $table->dropColumn('seen_at'));
    }
};
