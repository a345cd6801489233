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
        // sign-offs; one that was made is withdrawn or replaced, and never written over
        Schema::create('submissions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('deliverable_id')->constrained()->cascadeOnDelete();
            $table->foreignId('check_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('delivery_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('withdrawn_by_id')->nullable()->constrained('users')->nullOnDelete();
            $table->unsignedInteger('number')->nullable();
            $table->string('state', 20);
            $table->text('note');
            $table->json('answers');
            $table->json('algorithms');
            $table->json('progress')->nullable();
            $table->timestamp('seen_at')->nullable();
            $table->text('fault')->nullable();
            $table->unsignedInteger('file_count')->nullable();
            $table->unsignedBigInteger('total_size')->nullable();
            $table->string('fingerprint', 64)->nullable();
            $table->binary('record')->nullable();
            $table->timestamp('signed_at')->nullable();
            $table->timestamp('withdrawn_at')->nullable();
            $table->string('withdrawn_why', 1000)->nullable();
            // what a later look at its files came to
            $table->json('verified')->nullable();
            $table->timestamps();
            $table->unique(['deliverable_id', 'number']);
            $table->index('check_id');
            $table->index('delivery_id');
            $table->index('user_id');
            $table->index('withdrawn_by_id');
        });
        // what happened to a deliverable, each entry bound to the one before it
        Schema::create('history_entries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('deliverable_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number');
            $table->string('at', 30);
            $table->string('who', 120);
            $table->string('act', 40);
            $table->json('facts');
            $table->string('before', 64);
            $table->string('sum', 64);
            $table->unique(['deliverable_id', 'number']);
        });
        DB::statement(
            'create trigger history_entries_stand before update on history_entries '
            ."begin select raise(abort, 'what happened is written once'); end",
        );
        Schema::table('sheet_links', function (Blueprint $table): void {
            $table->foreignId('submission_id')->nullable()->constrained()->cascadeOnDelete();
            $table->index('submission_id');
        });
    }

    public function down(): void
    {
        Schema::table('sheet_links', function (Blueprint $table): void {
            $table->dropIndex(['submission_id']);
            $table->dropConstrainedForeignId('submission_id');
        });
        Schema::dropIfExists('history_entries');
        Schema::dropIfExists('submissions');
    }
};
