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
        // Until when links to an account that an address was sent work no more.
        Schema::create('ended_links', function (Blueprint $table): void {
            $table->string('print')->primary();
            $table->unsignedBigInteger('until_ms')->index();
        });
        // Letters that wait to be sent, and those that could not be for a day.
        Schema::create('jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('queue')->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });
        Schema::create('failed_jobs', function (Blueprint $table): void {
            $table->id();
            $table->text('connection');
            $table->text('queue');
            $table->longText('payload');
            $table->longText('exception');
            $table->timestamp('failed_at')->useCurrent();
        });
        // One row, which whoever looks after the server has read and written.
        Schema::create('pulses', function (Blueprint $table): void {
            $table->unsignedTinyInteger('id')->primary();
            $table->unsignedBigInteger('at_ms');
        });
    }

    public function down(): void
    {
        foreach (['pulses', 'failed_jobs', 'jobs', 'ended_links'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::dropIfExists('password_reset_tokens');
        Schema::dropIfExists('users');
    }
};
