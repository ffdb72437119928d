{{-- What the run did with each section --}}
<table class="table-plain">
    <thead>
        <tr>
            <th scope="col">{{ __('plan.section') }}</th>
            <th scope="col" class="num">{{ __('run.steps') }}</th>
            <th scope="col" class="num">{{ __('run.done') }}</th>
            <th scope="col">{{ __('run.stands') }}</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($page->sections as $section)
            <tr>
                <td><a href="{{ route('section', $section->sourcedId) }}">{{ $section->name }}</a></td>
                <td class="num">{{ $section->all }}</td>
                <td class="num">{{ $section->done }}</td>
                <td class="{{ $section->tone() }}">
                    @switch($section->state()->value)
                        @case('asked')
                            {{ trans_choice('publishing.runs.asked', $section->asked) }}
                        @break

                        @case('failed')
                            {{ __('run.n_failed', ['n' => $section->failed]) }}
                        @break

                        @case('waiting')
                            {{ __('run.waiting') }}
                        @break

                        @default
                            {{ __($page->isOfLinks() ? 'run.linked' : 'run.is_published') }}
                    @endswitch
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
