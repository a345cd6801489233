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
            // the last moment somebody did something, to some minutes; and when they went before they came back
            $table->timestamp('active_at')->nullable();
            $table->timestamp('away_since')->nullable();
            // what their sessions have in common until they sign out everywhere
            $table->string('session_mark', 40)->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('users', fn (Blueprint $table) => $table->dropColumn(['active_at', 'away_since', 'session_mark']));
    }
};
