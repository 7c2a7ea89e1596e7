<?php

declare(strict_types=1);

namespace App\Library;

use App\Handbook\SectionLinkView;
use App\Question\NamedCountView;

/** What a search that found nothing, or little, may have been meant for. */
final readonly class CloseWordsView
{
    /**
     * @param  list<CloseWordView>  $words  Spelt much like what was asked for, the closest first.
     * @param  list<NamedCountView>  $topics  Whose name has one of the words.
     * @param  list<SectionLinkView>  $sections  Of the handbook, whose title or chapter has one of them.
     */
    public function __construct(public array $words, public array $topics, public array $sections)
    {
    }
}
