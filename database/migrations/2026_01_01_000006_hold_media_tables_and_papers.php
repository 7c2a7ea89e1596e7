<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Files are named by their contents, so a version keeps the picture it was written with.
        Schema::create('media', function (Blueprint $table): void {
            $table->foreignId('exam_id')->constrained()->cascadeOnDelete();
            $table->string('name', 80);
            $table->unsignedInteger('bytes');
            $table->primary(['exam_id', 'name']);
            $table->index('name');
        });
        Schema::create('reference_tables', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('exam_id')->constrained()->cascadeOnDelete();
            $table->string('code');
            $table->string('title');
            $table->text('body');
            $table->unsignedSmallInteger('position');
            $table->unique(['exam_id', 'code']);
        });
        Schema::create('papers', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('exam_id')->constrained()->cascadeOnDelete();
            $table->string('code');
            $table->string('title');
            $table->unique(['exam_id', 'code']);
        });
        Schema::create('paper_items', function (Blueprint $table): void {
            $table->foreignId('paper_id')->constrained()->cascadeOnDelete();
            $table->unsignedSmallInteger('position');
            $table->string('section');
            $table->foreignId('question_id')->constrained()->cascadeOnDelete();
            $table->primary(['paper_id', 'position']);
        });
        Schema::table('tests', function (Blueprint $table): void {
            // A fixed paper belongs to nobody: everybody sits the same test.
            $table->foreignId('user_id')->nullable()->change();
            $table->foreignId('paper_id')->nullable()->constrained()->nullOnDelete();
            // Position => series. Kept here, since the rules of a sitting need it at every step.
            $table->json('series')->nullable();
        });
        Schema::table('test_items', function (Blueprint $table): void {
            // A section of the blueprint; null in a practice test.
            $table->string('section')->nullable();
        });
        Schema::table('questions', fn (Blueprint $table) => $table->index(['unit_id', 'unit_place'], 'questions_by_unit'));
        Schema::table('units', function (Blueprint $table): void {
            $table->unsignedBigInteger('version_id')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('questions', fn (Blueprint $table) => $table->dropIndex('questions_by_unit'));
        Schema::table('units', fn (Blueprint $table) => $table->dropColumn('version_id'));
        Schema::table('test_items', fn (Blueprint $table) => $table->dropColumn('section'));
        Schema::table('tests', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('paper_id');
            $table->dropColumn('series');
        });
        foreach (['paper_items', 'papers', 'reference_tables', 'media'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
