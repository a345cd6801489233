<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('notices', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('production_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 20);
            $table->string('says', 300);
            // a path of this installation
            $table->string('url', 300);
            $table->timestamp('read_at')->nullable();
            $table->timestamps();
            $table->index(['user_id', 'read_at', 'id']);
            $table->index('production_id');
        });
        Schema::table('users', function (Blueprint $table): void {
            // what each wants to be told, and how
            $table->json('wishes')->nullable();
        });
        Schema::create('webhooks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('production_id')->constrained()->cascadeOnDelete();
            $table->string('url', 500);
            $table->text('secret');
            $table->json('events');
            $table->timestamps();
            $table->index('production_id');
        });
        Schema::create('webhook_calls', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('webhook_id')->constrained()->cascadeOnDelete();
            $table->string('event', 40);
            $table->text('body');
            $table->unsignedInteger('tries')->default(0);
            $table->unsignedInteger('status')->nullable();
            $table->string('fault', 200)->nullable();
            $table->timestamp('arrived_at')->nullable();
            $table->timestamps();
            $table->index(['webhook_id', 'id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('webhook_calls');
        Schema::dropIfExists('webhooks');
        Schema::table('users', fn (Blueprint $table) => $table->dropColumn('wishes'));
        Schema::dropIfExists('notices');
    }
};
