<?php

declare(strict_types=1);

namespace Nomada\App\View;

/** The rows of a list that are brought when they come into sight. */
final readonly class Stubs
{
    private string $choose;

    /**
     * @param  list<Stub>  $rows
     * @param  string  $box  the name of their boxes, or empty where they have none
     * @param  int  $columns  how many follow the one with the name
     * @param  bool  $isStop  whether the arrow keys lead there
     */
    public function __construct(
        public array $rows,
        public string $box,
        public int $columns,
        public string $class = 'row-c',
        public bool $isStop = false,
    ) {
        // Looked up once: a list has more than a thousand of them.
        $this->choose = (string) __('frame.choose');
    }

    public function choose(Stub $stub): string
    {
        return strtr($this->choose, [':row' => $stub->label()]);
    }
}
