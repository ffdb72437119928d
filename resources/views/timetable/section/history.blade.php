{{-- What was changed of its series, by whom, and taking it back --}}
<x-card :title="__('section.history.title')">
    <ul class="history">
        @foreach ($page->plan->changes as $change)
            <li @class(['is-undone' => $change->isUndone])>
                <span class="nowrap">{{ $change->at }}</span>
                <span>{{ $change->by ?? __('section.history.import') }}</span>
                <span>{{ $change->words }}
                    @if ($change->together > 1)
                        <small>{{ __('section.history.together', ['n' => $change->together]) }}</small>
                    @endif
                    @if ($change->isUndone)
                        <small>{{ __('section.history.undone', ['name' => $change->undoneBy]) }}</small>
                    @endif
                </span>
                <span class="nowrap">
                    @if ($change->mayTell)
                        <x-act :to="route('change.tell', [$page->section, $change->id])" class="btn-plain py-0"
                            :do="__('section.history.tell')" :about="$change->words" />
                    @endif
                    @if ($change->mayUndo)
                        <x-act :to="route('change.undo', [$page->section, $change->id])" class="btn-side py-0"
                            :do="__($change->together > 1 ? 'section.history.undo_all' : 'section.history.undo', [
                                'n' => $change->together,
                            ])" :about="$change->words" />
                    @endif
                </span>
            </li>
        @endforeach
    </ul>
</x-card>
