<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('production_id')->constrained()->cascadeOnDelete();
            $table->foreignId('specification_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignId('deliverable_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            // which layer it was made in, and where: a part or none, and a requirement, a value or a starting value
            $table->string('layer', 20);
            $table->string('part', 80);
            $table->string('key', 120);
            // as JSON; null where nothing was asked
            $table->text('before')->nullable();
            $table->text('after')->nullable();
            $table->boolean('undone')->default(false);
            // made together with another, and taken back with it
            $table->foreignId('follows_id')->nullable()->constrained('changes')->nullOnDelete();
            $table->timestamps();
            $table->index(['production_id', 'id']);
        });
        Schema::create('presets', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('production_id')->constrained()->cascadeOnDelete();
            $table->string('title', 160);
            $table->json('document');
            $table->timestamps();
        });
        Schema::create('sheet_links', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('deliverable_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->timestamp('expires_at');
            $table->timestamp('revoked_at')->nullable();
            $table->unsignedInteger('opened')->default(0);
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('sheet_links');
        Schema::dropIfExists('presets');
        Schema::dropIfExists('changes');
    }
};
