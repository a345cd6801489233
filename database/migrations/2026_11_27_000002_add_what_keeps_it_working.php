<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('checks', function (Blueprint $table): void {
            // when somebody last worked on it, or put it in the queue
            $table->timestamp('seen_at')->nullable();
        });
        Schema::table('scenes', function (Blueprint $table): void {
            $table->string('hash', 64)->nullable();
            $table->index(['deliverable_id', 'hash']);
        });
        Schema::table('productions', function (Blueprint $table): void {
            // counts what is changed of it, so that nobody writes over what another changed meanwhile
            $table->unsignedInteger('version')->default(0);
            $table->json('limits')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('productions', fn (Blueprint $table) => $table->dropColumn(['version', 'limits']));
        Schema::table('scenes', function (Blueprint $table): void {
            $table->dropIndex(['deliverable_id', 'hash']);
            $table->dropColumn('hash');
        });
        Schema::table('checks', fn (Blueprint $table) => $table->dropColumn('seen_at'));
    }
};
