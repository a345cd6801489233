<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('productions', function (Blueprint $table): void {
            // other names for settings, and shapes of logs, as this house has them
            $table->json('field_map')->nullable();
            $table->json('log_shapes')->nullable();
            // machines and the hours in which they may render
            $table->json('pool')->nullable();
        });
        Schema::table('scenes', function (Blueprint $table): void {
            // names that were pointed at for this scene alone
            $table->json('field_map')->nullable();
        });
        Schema::table('deliverables', function (Blueprint $table): void {
            $table->string('frame_times', 2000)->nullable();
            $table->string('frame_size', 40)->nullable();
        });
        Schema::table('checks', function (Blueprint $table): void {
            // what boards and lists show of it, so that they need not unpack each
            $table->json('summary')->nullable();
            $table->unsignedSmallInteger('waived')->default(0);
            $table->index(['deliverable_id', 'state', 'updated_at']);
        });
        Schema::create('waivers', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('production_id')->constrained()->cascadeOnDelete();
            // of one deliverable, or of all that follow a specification
            $table->foreignId('specification_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignId('deliverable_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('entry', 120);
            $table->string('part', 80);
            $table->string('pass', 80)->nullable();
            $table->text('required');
            $table->json('accepted');
            $table->string('reason', 500);
            $table->timestamp('ended_at')->nullable();
            $table->timestamps();
            $table->index(['deliverable_id', 'ended_at']);
            $table->index(['specification_id', 'ended_at']);
        });
        Schema::create('ticks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('deliverable_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            // of a piece of work
            $table->string('fix', 64);
            $table->timestamps();
            $table->unique(['deliverable_id', 'fix']);
        });
        Schema::create('render_logs', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('deliverable_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            // a file that can be followed; without it the log was sent
            $table->foreignId('intake_root_id')->nullable()->constrained()->nullOnDelete();
            $table->string('path', 1000)->nullable();
            $table->string('name', 255);
            $table->json('shape')->nullable();
            $table->unsignedBigInteger('read')->default(0);
            $table->unsignedBigInteger('size')->default(0);
            $table->json('reading')->nullable();
            $table->text('fault')->nullable();
            $table->timestamps();
        });
        Schema::create('messages', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('production_id')->constrained()->cascadeOnDelete();
            $table->foreignId('to_id')->constrained('users')->cascadeOnDelete();
            $table->foreignId('by_id')->nullable()->constrained('users')->nullOnDelete();
            $table->string('subject', 300);
            $table->text('body');
            $table->timestamps();
        });
        Schema::create('personal_access_tokens', function (Blueprint $table): void {
            $table->id();
            $table->morphs('tokenable');
            $table->text('name');
            $table->string('token', 64)->unique();
            $table->text('abilities')->nullable();
            $table->timestamp('last_used_at')->nullable();
            $table->timestamp('expires_at')->nullable()->index();
            $table->timestamps();
        });
    }

    public function down(): void
    {
        foreach (['personal_access_tokens', 'messages', 'render_logs', 'ticks', 'waivers'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('checks', function (Blueprint $table): void {
            $table->dropIndex(['deliverable_id', 'state', 'updated_at']);
            $table->dropColumn(['summary', 'waived']);
        });
        Schema::table('deliverables', fn (Blueprint $table) => $table->dropColumn(['frame_times', 'frame_size']));
        Schema::table('scenes', fn (Blueprint $table) => $table->dropColumn('field_map'));
        Schema::table('productions', fn (Blueprint $table) => $table->dropColumn(['field_map', 'log_shapes', 'pool']));
    }
};
