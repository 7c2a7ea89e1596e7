<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('users', function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            $table->string('email')->unique();
            $table->string('password');
            $table->string('role')->default('candidate');
            // Exact factor of all time limits, such as 1.25.
            $table->string('extra_time')->default('1');
            // Simulated people of a cohort and the demo's own people are never mailed and never ranked among authors.
            $table->string('made_up_as')->nullable()->unique();
            $table->string('about')->nullable();
            $table->rememberToken();
            $table->timestamps();
        });
        Schema::create('password_reset_tokens', function (Blueprint $table): void {
            $table->string('email')->primary();
            $table->string('token');
            $table->timestamp('created_at')->nullable();
        });
        // One row, which whoever looks after the server has read and written.
        Schema::create('pulses', function (Blueprint $table): void {
            $table->unsignedTinyInteger('id')->primary();
            $table->unsignedBigInteger('at_ms');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('pulses');
        Schema::dropIfExists('password_reset_tokens');
        Schema::dropIfExists('users');
    }
};
