<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    protected $connection = 'side';

    public function up(): void
    {
        $this->down();
        Schema::connection('side')->create('workers', function (Blueprint $table): void {
            $table->string('id', 36)->primary();
            $table->string('host');
            $table->unsignedInteger('pid');
            // the moment the process began, as its system counts; another process may get its number later
            $table->string('began')->default('');
            $table->unsignedBigInteger('job_id')->nullable();
            $table->unsignedInteger('seen_at')->index();
        });
    }

    public function down(): void
    {
        Schema::connection('side')->dropIfExists('workers');
    }
};
