<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('exams', function (Blueprint $table): void {
            $table->id();
            $table->string('slug')->unique();
            $table->string('name');
            $table->text('summary');
            // Sections, duration, cut, scale: Uplandia\Core\Assembly\Blueprint.
            $table->json('rules');
            $table->unsignedSmallInteger('position')->default(0);
            // How far abilities spread in its cohort; null: no cohort has answered.
            $table->double('cohort_deviation')->nullable();
            $table->timestamps();
        });
        Schema::create('topics', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('exam_id')->constrained()->cascadeOnDelete();
            $table->foreignId('parent_id')->nullable()->index()->constrained('topics')->cascadeOnDelete();
            $table->string('code');
            $table->string('name');
            // Exact percentage of the exam; subtopics have none of their own.
            $table->string('weight')->nullable();
            $table->unsignedSmallInteger('position');
            // Live questions that hang on it, and how many of them stand alone: App\Question\Tallies.
            $table->unsignedInteger('questions')->default(0);
            $table->unsignedInteger('alone')->default(0);
            $table->unique(['exam_id', 'code']);
        });
        // How many live questions of a topic are of one difficulty and one luck: App\Question\Tallies.
        Schema::create('topic_difficulties', function (Blueprint $table): void {
            $table->foreignId('topic_id')->constrained()->cascadeOnDelete();
            $table->double('b');
            $table->double('luck');
            $table->unsignedInteger('questions');
            $table->primary(['topic_id', 'b', 'luck']);
        });
        // Which live questions have a value of a family of tags; topic, kind and difficulty are such families too:
        // App\Question\QuestionSets.
        Schema::create('question_sets', function (Blueprint $table): void {
            $table->foreignId('exam_id')->constrained()->cascadeOnDelete();
            $table->string('family');
            $table->string('value');
            $table->unsignedInteger('questions');
            // A Uplandia\Core\Question\QuestionSet as text.
            $table->longText('members');
            $table->primary(['exam_id', 'family', 'value']);
        });
        $this->createUnits();
        $this->createQuestions();
        if (DB::getDriverName() === 'sqlite') {
            // What a candidate may search: never a key, a reason or evidence. Written by App\Question\Fts5Search only.
            DB::statement(
                'create virtual table question_texts using fts5('.
                    "stem, parts, exhibits, topic, tags, tokenize = 'unicode61 remove_diacritics 2')",
            );
        }
    }

    private function createUnits(): void
    {
        Schema::create('units', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('exam_id')->constrained()->cascadeOnDelete();
            $table->string('code');
            $table->string('kind');
            $table->unsignedBigInteger('version_id')->nullable();
            // How many live questions it holds: what taking it whole adds to a test.
            $table->unsignedSmallInteger('questions')->default(0);
            $table->unique(['exam_id', 'code']);
        });
        Schema::create('unit_versions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('unit_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number');
            $table->json('shown');
            $table->timestamp('created_at');
            $table->unique(['unit_id', 'number']);
        });
    }

    private function createQuestions(): void
    {
        // A question through time. Topic, kind and difficulty repeat those of its present version, for narrowing.
        Schema::create('questions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('exam_id')->constrained()->cascadeOnDelete();
            $table->foreignId('topic_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('unit_id')->nullable()->constrained()->cascadeOnDelete();
            $table->unsignedSmallInteger('unit_place')->default(0);
            $table->string('code');
            $table->string('kind');
            $table->string('difficulty');
            $table->unsignedBigInteger('version_id')->nullable();
            // On the scale of ability: its difficulty (as the author says, until a cohort has answered), and the
            // chance of being right by luck.
            $table->double('b')->default(0);
            $table->double('luck')->default(0);
            $table->timestamp('retired_at')->nullable();
            $table->timestamps();
            $table->unique(['exam_id', 'code']);
            $table->index(['unit_id', 'unit_place']);
            // Counting and drawing from a topic's live questions read this index only.
            $table->index(
                ['exam_id', 'retired_at', 'unit_id', 'topic_id', 'difficulty', 'kind', 'id'],
                'questions_by_topic',
            );
        });
        // A question as it was at one time; never changed. All that marking and statistics need of it stands here.
        Schema::create('question_versions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('question_id')->constrained()->cascadeOnDelete();
            $table->foreignId('unit_version_id')->nullable()->index()->constrained();
            $table->unsignedInteger('number');
            $table->foreignId('topic_id')->index()->constrained();
            $table->string('kind');
            $table->string('difficulty');
            $table->json('tags');
            $table->string('marks')->default('1');
            // What a candidate may see while sitting …
            $table->json('shown');
            // … and what they may not: keys, rationales, evidence. Apart, so that no sitting can select it by
            // accident.
            $table->json('withheld');
            $table->timestamp('created_at');
            $table->unique(['question_id', 'number']);
        });
        Schema::create('question_tags', function (Blueprint $table): void {
            $table->foreignId('question_id')->constrained()->cascadeOnDelete();
            $table->string('family');
            $table->string('value');
            $table->primary(['question_id', 'family', 'value']);
            $table->index(['family', 'value', 'question_id']);
        });
    }

    public function down(): void
    {
        foreach (
            [
                'question_texts',
                'question_tags',
                'question_versions',
                'questions',
                'unit_versions',
                'units',
                'question_sets',
                'topic_difficulties',
                'topics',
                'exams',
            ] as $table
        ) {
            Schema::dropIfExists($table);
        }
    }
};
