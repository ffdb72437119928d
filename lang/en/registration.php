<?php

return [
    'replies' => [
        'no_folder' => ':folder is no Maildir: it has no folders new and cur. Name the folder that holds them.',
        'console' => ':read messages read: :answers new answers, :other no answers.',
        'none' => 'This is no answer to an invitation.',
        'taken' => '{0} Known already.|{1} One new answer.|[2,*] :count new answers.',
    ],
    'answers' => [
        'title' => 'Answers to the invitation',
        'of' => 'of :n invited',
        'accepted' => '{0}|{1}one comes|[2,*]:count come',
        'tentative' => '{0}|{1}one perhaps|[2,*]:count perhaps',
        'declined' => '{0}|{1}one does not|[2,*]:count do not',
        'open' => '{0}everybody has answered|{1}one has not answered|[2,*]:count have not answered',
        'who' => 'Who',
        'heads' => [
            'declined' => 'Do not come',
            'tentative' => 'Perhaps',
            'open' => 'Have not answered',
            'accepted' => 'Come',
        ],
        'single' => '{1}not to one session|[2,*]not to :count sessions',
    ],
    'replies_to' => 'Answers to invitations are read out of the Maildir that POST_REPLIES names, or handed on '.
    'by the mail'.
        ' server to this address:',
];
