<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('exam_roles', function (Blueprint $table): void {
            $table->foreignId('exam_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->index()->constrained()->cascadeOnDelete();
            $table->string('role');
            $table->primary(['exam_id', 'user_id']);
        });
        // What the cohort's first looks say of one version. Renewed, never computed in a page's request.
        Schema::create('item_statistics', function (Blueprint $table): void {
            $table->foreignId('version_id')->primary()->constrained('question_versions')->cascadeOnDelete();
            $table->foreignId('exam_id')->index()->constrained()->cascadeOnDelete();
            $table->unsignedInteger('n');
            $table->double('facility');
            $table->double('item_rest')->nullable();
            $table->double('upper_lower')->nullable();
            // Option id => share of those who chose one.
            $table->json('options');
            $table->unsignedInteger('lower_ms')->nullable();
            $table->unsignedInteger('median_ms')->nullable();
            $table->unsignedInteger('upper_ms')->nullable();
            $table->unsignedBigInteger('renewed_ms');
        });
        Schema::create('problem_reports', function (Blueprint $table): void {
            $table->id();
            // A report outlives the account it came from.
            $table->foreignId('user_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->foreignId('exam_id')->constrained()->cascadeOnDelete();
            $table->foreignId('question_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('version_id')->index()->constrained('question_versions');
            $table->string('about');
            $table->text('body');
            $table->string('status')->default('open');
            $table->text('reply')->nullable();
            $table->timestamps();
            $table->index(['exam_id', 'status']);
        });
        Schema::create('corrections', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('question_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('from_version_id')->index()->constrained('question_versions');
            $table->foreignId('to_version_id')->index()->constrained('question_versions');
            $table->foreignId('user_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->foreignId('problem_report_id')->nullable()->index()->constrained()->nullOnDelete();
            // Whether past sittings are marked anew by it.
            $table->boolean('remarks')->default(false);
            $table->text('why');
            $table->timestamps();
        });
    }

    public function down(): void
    {
        foreach (['corrections', 'problem_reports', 'item_statistics', 'exam_roles'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
