<?php

declare(strict_types=1);

use App\Question\Fts5Search;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration
{
    /** "rivers" finds "river", and a question is found by the names of both its topics. */
    public function up(): void
    {
        if (DB::getDriverName() !== 'sqlite') {
            return;
        }
        DB::statement('create virtual table stemmed_texts using fts5(stem, parts, exhibits, topic, tags, '.
            'tokenize = \''.Fts5Search::TOKENS.'\')');
        DB::statement("insert into stemmed_texts (rowid, stem, parts, exhibits, topic, tags)
            select old.rowid, stem, parts, exhibits,
                coalesce((
                    select coalesce(tops.name || ' ', '') || topics.name from questions
                    join topics on topics.id = questions.topic_id
                    left join topics as tops on tops.id = topics.parent_id
                    where questions.id = old.rowid
                ), topic), tags
            from question_texts as old");
        DB::statement('drop table question_texts');
        DB::statement('alter table stemmed_texts rename to question_texts');
        // Which words there are, for those who spell one in another way.
        DB::statement("create virtual table question_words using fts5vocab('question_texts', 'row')");
    }
};
