<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

use Random\Randomizer;

/** The order in which one sitting shows the options of a question; pinned options keep their place. */
final readonly class OptionOrder
{
    public function __construct(private Randomizer $chance)
    {
    }

    /**
     * @param  list<string>  $options  ids as stored
     * @param  list<string>  $pinned  ids that keep their place ("none of these")
     * @return list<string>
     */
    public function of(array $options, array $pinned = []): array
    {
        $free = array_values(array_diff($options, $pinned));
        $shuffled = $this->chance->shuffleArray($free);
        $next = 0;

        return array_map(static function (string $id) use ($pinned, $shuffled, &$next): string {
            return in_array($id, $pinned, true) ? $id : $shuffled[$next++];
        }, $options);
    }
}
