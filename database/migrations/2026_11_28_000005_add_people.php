<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', function (Blueprint $table): void {
            $table->boolean('is_administrator')->default(false);
            // nobody who is disabled gets in, and what they did keeps their name
            $table->timestamp('disabled_at')->nullable();
        });
        Schema::create('invitations', function (Blueprint $table): void {
            $table->id();
            $table->string('kind', 20);
            // only a hash: whoever reads the ledger's file cannot follow a link
            $table->string('token', 64)->unique();
            $table->foreignId('production_id')->nullable()->index()->constrained()->cascadeOnDelete();
            $table->string('role', 20)->nullable();
            // whose password it is
            $table->foreignId('user_id')->nullable()->index()->constrained()->cascadeOnDelete();
            $table->string('name', 120)->nullable();
            $table->string('email', 190)->nullable();
            $table->foreignId('by_id')->nullable()->index()->constrained('users')->nullOnDelete();
            $table->timestamp('expires_at');
            $table->timestamp('used_at')->nullable();
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('invitations');
        Schema::table('users', function (Blueprint $table): void {
            $table->dropColumn(['is_administrator', 'disabled_at']);
        });
    }
};
